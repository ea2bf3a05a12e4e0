@php($why ??= false) @php($strip ??= false) @php($pace ??= $strip)
@if ($rows->isEmpty())<div class="none">{{ $none }}</div>@else
<table class="list"><thead><tr><th>Order</th><th>Item</th>@if ($strip)<th>Steps</th>@endif @if ($pace)<th>Pace</th>@endif @if ($why)<th>Why</th>@endif</tr></thead><tbody>
@foreach ($rows as $row)<tr><td class="tight"><a class="num" href="{{ route('orders.show', $row->id) }}">{{ $row->number }}</a></td><td class="cut"><x-amount :of="$row->quantity" /> {{ $row->item_name }} @if ($row->customers)<span class="sub">{{ $row->customers }}</span>@endif</td>@if ($strip)<td class="strip"><x-pace :strip="$today->strips[$row->id]" :words="false" /></td>@endif @if ($pace)<td class="tight"><x-late :minutes="$row->late_minutes" /></td>@endif @if ($why)<td class="fill"><x-readiness :row="$row" /></td>@endif</tr>@endforeach
</tbody></table>
@endif
