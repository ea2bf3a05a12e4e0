<x-layout title="Questions">
    <div class="head"><h1>Questions</h1><span class="say">{{ $says }}</span></div>
    @if ($arrivals !== [])@include('questions.arrivals')<h2>Of the shop</h2>@endif
    @if ($open->isNotEmpty())
    <table class="list"><thead><tr><th>Since</th><th>Asked of</th><th>What</th><th class="n">On hand now</th><th>Answer</th></tr></thead><tbody>
    @foreach ($open as $row)
        <tr><td class="tight" title="{{ $print->moment($row->opened_at) }}"><a href="{{ route('bookings.show', $row->booking_id) }}">{{ $print->ago($row->opened_at) }}</a></td><td>{{ $row->role }}</td><td>{{ $print->says($row->says) }}</td><td class="n">{{ $row->item_id ? $print->amount($row->on_hand) : '' }}</td>
            <td>@if ($row->kind === 'short')<a class="btn btn-act btn-small me-2" href="{{ route('orders.show', $row->order_id) }}">Cure it on the order</a>@endif @can('issue')<span class="d-inline-flex gap-2 flex-wrap">@if ($row->component_id && in_array($row->state, ['released', 'running']))<form method="post" action="{{ route('slips.store') }}">@csrf @token<input type="hidden" name="orders[]" value="{{ $row->order_id }}"><input type="hidden" name="part" value="reported"><button class="btn btn-act btn-small">Book it on a slip</button></form>@endif<x-form method="put" class="d-inline-flex gap-1" :key="'question-'.$row->id" :to="route('questions.update', $row->id)"><x-field bare name="answer" label="Answer" placeholder="or say what it was" size="22" maxlength="200" /><button class="btn btn-quiet btn-small">Answer</button></x-form></span>@endcan</td></tr>
    @endforeach
    </tbody></table><x-cut :of="$cut" />@else<div class="none">What backflush cannot book is asked here, with its age.</div>@endif
    @if ($answered->isNotEmpty())<h2>Answered</h2><table class="list"><thead><tr><th>When</th><th>Who</th><th>What</th><th>Answer</th></tr></thead><tbody>@foreach ($answered as $row)<tr><td class="tight">{{ $print->when($row->answered_at) }}</td><td>{{ $row->answerer }}</td><td>{{ $print->says($row->says) }}</td><td>{{ $row->answer }}</td></tr>@endforeach</tbody></table>@endif
</x-layout>
