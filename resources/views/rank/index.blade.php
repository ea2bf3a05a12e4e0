<x-layout title="Rank" :keys="['Alt ↑ ↓' => 'the order of the row up or down, then Enter to see what it would do']">
    <div class="head"><h1>Rank</h1><span class="say">Who stands higher gets scarce parts and the machine first. Drag a row, or use its arrows: what it would do is said before it is kept.</span></div>
    @if ($effect !== null)
    <section class="effect" role="status"><h2 class="mt-0">{{ $effect['order']->number }} {{ $effect['before'] === null ? 'last of all' : "before {$effect['before']->number}" }} would mean</h2>
        <ul>@foreach ($effect['says'] as $line)<li @class([$line['tone'], 'notched' => $line['tone'] === 'behind'])>{{ $line['says'] }}</li>@endforeach</ul>
        <form class="actions" method="post" action="{{ route('rank.store') }}">@csrf @token<input type="hidden" name="move" value="{{ $effect['order']->id }}-{{ $effect['before']?->id ?? 0 }}">
        @if ($effect['servants']->isNotEmpty())<p class="mb-1">For the shelf, but allotted to it, and going with it for parts and machines: @foreach ($effect['servants'] as $one)<a class="num" href="{{ route('orders.show', $one->id) }}">{{ $one->number }}</a> {{ $one->item->name }}{{ $loop->last ? '.' : ', ' }}@endforeach <label class="d-inline"><input type="checkbox" name="with_servants" value="1" checked> put {{ $effect['servants']->count() === 1 ? 'it' : 'them' }} before {{ $effect['order']->number }} in the list too</label></p>@endif
        <button class="btn btn-act">Keep it so</button><a class="btn btn-quiet" href="{{ route('rank.index') }}">Leave it as it is</a></form></section>
    @endif
    @php($mayRank = auth()->user()?->can('rank'))
    @if ($mayRank)<form method="post" action="{{ route('rank.preview') }}" id="rank-form">@csrf @token @endif
    <table class="list" data-rank><thead><tr><th class="n">Place</th><th>Order</th><th>Item</th><th class="w1">For</th><th class="w2">State</th><th>Steps, and where it should be by now</th><th>Pace</th><th class="w2">Due</th><th>Readiness</th>@if ($mayRank)<th></th>@endif</tr></thead><tbody>
    @foreach ($rows as $i => $row)
        <tr data-order="{{ $row->id }}" @if ($mayRank) draggable="true" @endif @class(['picked-row' => ($effect['order']->id ?? 0) === $row->id])><td class="n">{{ $i + 1 }}</td><td class="tight"><a class="num" href="{{ route('orders.show', $row->id) }}" draggable="false">{{ $row->number }}</a></td><td class="cut">{{ $row->item_name }} <span class="sub">{{ $row->item_number }}</span></td><td class="cut w1" style="max-width:9.5rem">{{ $row->for }}</td><td class="w2"><x-state :state="$row->state" :held="(bool) $row->is_held" /></td><td class="strip"><x-pace :strip="$strips[$row->id]" :words="false" /></td>
            <td class="tight">@if ($row->late_minutes !== null && $row->due_on)<x-late :minutes="$row->late_minutes" />@endif</td><td class="tight w2">{{ $print->day($row->due_on) }}</td><td class="fill"><x-readiness :row="$row" /></td>
            @if ($mayRank)<td class="tight">@foreach ([['▲', 'one up', $i === 0 ? null : $rows[$i - 1]->id], ['▼', 'one down', $i === $rows->count() - 1 ? null : ($rows[$i + 2]->id ?? 0)], ['⤒', 'to the top', $i === 0 ? null : $rows[0]->id]] as [$sign, $where, $before])<button class="btn btn-quiet btn-small" name="move" value="{{ $row->id }}-{{ $before }}" aria-label="{{ $row->number }} {{ $where }}" @disabled($before === null)>{{ $sign }}</button> @endforeach</td>@endif</tr>
    @endforeach
    </tbody></table>
    @if ($mayRank)</form>@endif
</x-layout>
