{{-- What is asked, of whom, since when, and how it is answered. --}}
<table class="list">
    <thead>
        <tr>
            <th>Since</th>
            <th>Asked of</th>
            <th>What</th>
            <th class="n">On hand now</th>
            <th>Answer</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($cut->rows as $question)
            <tr>
                <td class="tight" title="{{ $print->moment($question->openedAt) }}">
                    <a href="{{ route('bookings.show', $question->bookingId) }}">
                        {{ $print->ago($question->openedAt) }}</a>
                </td>
                <td>{{ $question->role }}</td>
                <td>
                    {{ $print->says($question->says) }}
                    @if ($question->left())
                        <span class="say">{{ $print->amount($question->left()) }} of them are left to answer.</span>
                    @endif
                </td>
                <td class="n">{{ $question->itemId ? $print->amount($question->onHand) : '' }}</td>
                <td>
                    @if ($question->isOfScrap())
                        <a class="btn btn-act btn-small me-2" href="{{ $question->address() }}">Cure it on the order</a>
                    @endif
                    @if ($question->isOfRejects())
                        <a class="btn btn-act btn-small" href="{{ $question->address() }}">Say whose it was</a>
                    @elseif ($question->isOfLeft())
                        <x-left :question="$question" />
                    @elseif ($question->isOfOver())
                        <x-over :question="$question" />
                    @elsecan('issue')
                        <span class="d-inline-flex gap-2 flex-wrap">
                            @if ($question->canGoOnASlip())
                                <x-form :to="route('slips.store')">
                                    <input type="hidden" name="orders[]" value="{{ $question->orderId }}">
                                    <input type="hidden" name="part" value="reported">
                                    <button class="btn btn-act btn-small">Book it on a slip</button>
                                </x-form>
                            @endif
                            <x-form method="put" class="d-inline-flex gap-1" :key="$question->form()"
                                :to="route('questions.update', $question->id)">
                                <x-field bare name="answer" label="Answer" placeholder="or say what it was" size="22"
                                    maxlength="200" />
                                <button class="btn btn-quiet btn-small">Answer</button>
                            </x-form>
                        </span>
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
