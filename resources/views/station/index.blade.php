<x-layout title="Station">
    <div class="head"><h1>Which station is this?</h1></div>
    <div class="centres">@foreach ($workCentres as $centre)<a href="{{ route('station.show', $centre->id) }}"><span class="big">{{ $centre->name }}</span><br><span class="sub">{{ $centre->code }}, {{ $centre->machines === 1 ? '1 machine' : $centre->machines.' machines' }}</span><br>{{ match ((int) $centre->waiting) { 0 => 'nothing stands here', 1 => '1 job here', default => $centre->waiting.' jobs here' } }}{{ (int) $centre->running > 0 ? ', '.$centre->running.' running' : '' }}</a>@endforeach</div>
    <h2>At suppliers</h2>
    @if ($outside->isEmpty())<div class="none">Nothing is outside.</div>@else
    <table class="list"><thead><tr><th>Order</th><th class="w2">Item</th><th>Step</th><th>At</th><th class="n">Pieces</th><th>Expected back</th>@can('report')<th>Came back good</th><th>Scrap, and why</th><th>Pass on</th><th></th>@endcan</tr></thead><tbody>
    @foreach ($outside as $step)
        @php($todo = $print->amount((string) \Brick\Math\BigDecimal::of($step->taken_in)->minus($step->good)->minus($step->scrap)))
        @php($form = new \App\Http\Typed("step-{$step->id}"))
        <tr><td class="tight"><a class="num" href="{{ route('orders.show', $step->order_id) }}">{{ $step->order_number }}</a></td><td class="cut w2">{{ $step->item_name }}</td><td>{{ $step->number }} {{ $step->name }}</td><td class="cut outside">{{ $step->supplier }}</td><td class="n">{{ $todo }}</td><td><x-back :handfuls="$step->handfuls" :unit="$step->unit" /></td>
        @can('report')
        <td><form id="back{{ $step->id }}" method="post" action="{{ route('station.report', $step->id) }}">@csrf @token($form->form)</form><x-field bare :in="$form" form="back{{ $step->id }}" name="good" :label="'Good of '.$step->order_number" class="n" :value="$todo" inputmode="decimal" /></td>
        <td><div class="d-flex gap-2"><x-field bare :in="$form" form="back{{ $step->id }}" name="scrap" :label="'Scrap of '.$step->order_number" class="n" value="0" inputmode="decimal" /><x-field bare :in="$form" form="back{{ $step->id }}" name="reason" :label="'Why scrap of '.$step->order_number" placeholder="why scrap" size="10" maxlength="200" /></div></td>
        <td>@if ($step->next_number)<x-field bare :in="$form" form="back{{ $step->id }}" name="pass_on" :label="'Pass on of '.$step->order_number" class="n" :value="$todo" inputmode="decimal" />@endif</td>
        <td><button class="btn btn-act btn-small" form="back{{ $step->id }}">Book{{ $step->next_number ? ' and pass on' : '' }}</button></td>
        @endcan</tr>
    @endforeach
    </tbody></table>@endif
</x-layout>
