{{-- What else cures a shortage: hurry what comes, take from another order, use another item. --}}
@if ($item === null)
    <span class="sub">It is no longer short.</span>
@else
    @foreach ($list->comingOf($item->id) as $line)
        <x-form class="actions" method="put" :to="route('purchases.update', $line->id)">
            <span>
                {{ $print->amount($line->open) }} on {{ $line->number }} of {{ $line->supplier }},
                {{ $print->day($line->expectedOn) }}:
            </span>
            <input type="hidden" name="asked_for" value="{{ $list->today() }}">
            <x-day bare worked name="expected_on" :value="$line->stillExpectedOn"
                :label="'New date of '.$line->number" />
            @can('purchase')
                <button class="btn btn-quiet btn-small">Hurry it</button>
            @endcan
        </x-form>
    @endforeach
    @foreach ($item->parts as $part)
        @can('reserve')
            @foreach ($list->holders($part) as $other)
                <x-take-from :part="$part" :other="$other" />
            @endforeach
        @endcan
        @can('change-order')
            @foreach ($substitutes as $one)
                <x-form class="actions" method="put" :to="route('order-components.swap', $part->id)">
                    <input type="hidden" name="version" value="{{ $part->orderVersion }}">
                    <input type="hidden" name="item" value="{{ $one->number }}">
                    <input type="hidden" name="reason" value="allowed substitute">
                    <span>
                        {{ $part->order }} takes {{ $one->number }} {{ $one->name }},
                        {{ $print->amount($one->free) }} free:
                    </span>
                    <input class="form-control n" name="quantity" inputmode="decimal"
                        value="{{ $print->amount($one->instead($part->missing)) }}"
                        aria-label="How much {{ $one->number }} for {{ $part->order }}">
                    <span>{{ $one->unit }}</span>
                    <button class="btn btn-quiet btn-small">Take it instead</button>
                </x-form>
            @endforeach
            <x-form class="actions" method="put" :to="route('order-components.swap', $part->id)">
                <input type="hidden" name="version" value="{{ $part->orderVersion }}">
                <span>{{ $part->order }} takes instead</span>
                <input class="form-control" name="item" placeholder="item number" size="10"
                    aria-label="Another item for {{ $part->order }}">
                <input class="form-control n" name="quantity" value="{{ $print->amount($part->missing) }}"
                    inputmode="decimal" aria-label="How much of it">
                <input class="form-control" name="reason" placeholder="why" size="14" aria-label="Why">
                <button class="btn btn-quiet btn-small">Substitute</button>
            </x-form>
        @endcan
    @endforeach
@endif
