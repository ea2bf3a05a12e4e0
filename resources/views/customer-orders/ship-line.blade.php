{{-- A line that can go; all of an order go with one button, beside the first. --}}
<tr>
    <td class="tight"><a class="num" href="{{ route('customer-orders.show', $id) }}">{{ $line->line() }}</a></td>
    <td class="cut w2" title="{{ $line->goesTo }}">
        @if ($loop->first)
            {{ $line->customer }} <span class="sub">{{ $line->goesTo }}</span>
        @endif
    </td>
    <td class="cut">{{ $line->item }} <span class="sub">{{ $line->itemNumber }}</span></td>
    <td @class(['tight', 'behind notched' => $line->isOverdue()])>{{ $print->day($line->promisedOn) }}</td>
    <td class="n w1">{{ $print->amount($line->open) }}</td>
    <td class="n">
        {{ $print->amount($line->ready()) }}
        @if ($line->build)
            <div class="sub">
                {{ $print->amount($line->built()) }} by build
                <a class="num" href="{{ route('builds.show', $line->build->id) }}">{{ $line->build->number }}</a>
            </div>
        @endif
    </td>
    <td class="n">
        <input @class(['form-control n ms-auto', 'is-wrong' => $errors->has($line->key('quantity'))])
            form="ship{{ $id }}" name="lines[{{ $line->id }}][quantity]"
            value="{{ old($line->key('quantity'), $print->amount($line->ready())) }}"
            aria-label="Ship of {{ $line->label() }}" inputmode="decimal" @cannot('ship') disabled @endcannot>
        <x-why :field="$line->key('quantity')" />
    </td>
    <td>{{ $line->unit }}</td>
    <td>
        @if ($line->takesCodes())
            <textarea class="form-control" form="ship{{ $id }}" name="lines[{{ $line->id }}][codes]" rows="1" cols="14"
                aria-label="Lot or serials built for {{ $line->label() }}" placeholder="{{ $line->codesHint() }}"
                @cannot('ship') disabled @endcannot>{{ old($line->key('codes')) }}</textarea>
            <x-why :field="$line->key('codes')" />
        @elseif ($line->isTracked())
            <select class="form-select w-100" form="ship{{ $id }}" name="lines[{{ $line->id }}][lot]"
                aria-label="Lot of {{ $line->label() }}">
                @foreach ($line->lotOptions() as $lot => $says)
                    <option value="{{ $lot }}" @selected(old($line->key('lot')) == $lot)>{{ $says }}</option>
                @endforeach
            </select>
        @endif
    </td>
    <td class="tight">
        @if ($loop->first)
            @can('ship')
                <x-form :id="'ship'.$id" :to="route('ship.store', $id)">
                    <button class="btn btn-act btn-small">Ship {{ $line->number }}</button>
                    @if ($line->isWholeOnly)
                        <label class="d-inline">
                            <input type="checkbox" name="in_parts" value="1"> in parts all the same
                        </label>
                        <x-why field="in_parts" />
                    @endif
                </x-form>
            @endcan
        @endif
    </td>
</tr>
