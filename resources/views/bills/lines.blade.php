{{-- Line by line what is billed, beside what came and was agreed. --}}
<table class="list">
    <thead>
        <tr>
            <th>Line</th>
            <th>What</th>
            <th class="n">Billed</th>
            <th class="n">€ a unit</th>
            <th class="n">€</th>
            <th class="n">{{ $page->isOpen() ? 'Here, not billed' : 'Accepted €' }}</th>
            <th>{{ $page->isOpen() ? 'Differs' : '' }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->lines as $line)
            <tr @class(['wrong' => $errors->has($line->key())])>
                <td class="num tight">
                    @if (! $line->isCharge())
                        <a href="{{ route('purchases.show', $line->purchaseOrder) }}">{{ $line->number }}</a>
                    @endif
                </td>
                <td>
                    {{ $line->says }}
                    @if ($line->alsoSays() !== '')
                        <span class="soon">{{ $line->alsoSays() }}</span>
                    @endif
                    <x-why :field="$line->key()" />
                </td>
                <td class="n">{{ $line->quantity }}</td>
                <td class="n">{{ $line->price }}</td>
                <td class="n">{{ $print->money($line->cents) }}</td>
                <td class="n">
                    @if ($page->isOpen())
                        {{ $line->owedSays() }}
                    @elseif ($line->takenCents !== null)
                        {{ $print->money($line->takenCents) }}
                    @endif
                </td>
                <td>
                    @if ($line->differs())
                        <span class="soon">{{ $line->differenceSays() }}</span>
                        @can('bill')
                            <span class="ticks" role="group" aria-label="Whose figure of {{ $line->number }} holds">
                                @if ($line->canBeTheirs())
                                    <label>
                                        <input type="radio" name="{{ $line->field() }}" value="theirs"
                                            @checked(old($line->key()) === 'theirs')> pay as billed
                                    </label>
                                @endif
                                <label>
                                    <input type="radio" name="{{ $line->field() }}" value="ours"
                                        @checked(old($line->key()) === 'ours')> as it came and was agreed
                                </label>
                            </span>
                        @endcan
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
