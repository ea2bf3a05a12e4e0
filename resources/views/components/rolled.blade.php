@props(['cost', 'unit', 'work' => false])
{{-- A rolled-up cost: by kind for all pieces, and what one comes to. --}}
<dl class="facts rolled">
    @foreach ($cost->kinds() as $kind => $cents)
        <dt>{{ ucfirst($kind) }}</dt>
        <dd class="n">{{ $print->money($cents) }} €</dd>
    @endforeach
    <dt>For {{ $print->amount($cost->pieces) }} {{ $unit }}</dt>
    <dd class="n"><strong>{{ $print->money($cost->total()) }} €</strong></dd>
    <dt>Each</dt>
    <dd class="n"><strong>{{ $print->price($cost->unit()) }} €</strong></dd>
</dl>
<p class="sub">
    @if ($work)
        At the rates of the work centres today{{ $cost->isUsualLot ? ', for its usual lot' : '' }}.
    @elseif ($cost->isUsualLot)
        For its usual lot, each level below at its own. Bought things at what stock is worth today, else at the cost
        of their item.
    @else
        Each level below at its own usual lot, where somebody said one, else one at a time. Bought things at what
        stock is worth today, else at the cost of their item.
    @endif
</p>
