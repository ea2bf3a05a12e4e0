@if ($offers === [])<p class="none">Nothing was found to try: it is not in the plan.</p>@else
<p>A search alone, without any lever, would finish it <b>{{ $print->when($offers[0]['finish']) }}</b>. Each lever is compared with that.</p>
<table class="list"><thead><tr><th>Lever</th><th>Its finish</th><th class="n">All lateness</th><th></th></tr></thead><tbody>
@foreach ($offers as $offer)
    @php($gain = $offer['finish'] === null || $offer['finishWith'] === null ? null : $offer['finish'] - $offer['finishWith']) @php($all = $offer['lateWith'] - $offer['late'])
    <tr><td>{{ $offer['says'] }}</td><td class="tight">{{ $print->when($offer['finishWith']) }}<div class="sub">@if ($gain === null) no place @elseif ($gain > 0)<span class="good">{{ $print->minutes($gain) }} sooner</span>@elseif ($gain < 0)<span class="behind">{{ $print->minutes(-$gain) }} later</span>@else no sooner @endif</div></td>
        <td class="n">{{ $all === 0 ? 'the same' : $print->minutes(abs($all)).($all > 0 ? ' more' : ' less') }}</td>
        <td class="tight">@can('plan')<form method="post" action="{{ route('late.try', $order->id) }}">@csrf @token<input type="hidden" name="says" value="{{ $offer['says'] }}"><button class="btn btn-quiet btn-small">Try it as a what-if</button></form>@endcan</td></tr>
@endforeach
</tbody></table><p class="sub">Each was tried with the same search on the shop as it is now. Times are elapsed for its finish, open hours for all lateness.</p>@endif
