{{-- What can be typed at a line of a slip: how much, in which unit, of which lots and serials. --}}
<td class="n">
    <input @class(['form-control n', 'is-wrong' => $form->isWrongIn($line, 'quantity')])
        name="lines[{{ $line->id }}][quantity]" value="{{ $form->quantity($line) }}" inputmode="decimal"
        autocomplete="off" aria-label="Use of {{ $line->item }} for {{ $line->order }}" data-use>
    <x-why :field="$form->key($line, 'quantity')" />
</td>
<td>
    @if ($line->units->isEmpty())
        {{ $line->unit }}
    @else
        <select class="form-select" name="lines[{{ $line->id }}][unit]"
            aria-label="Unit of {{ $line->item }} for {{ $line->order }}">
            @foreach ($line->unitOptions() as $unit => $says)
                <option value="{{ $unit }}" @selected($form->isInUnit($line, $unit))>{{ $says }}</option>
            @endforeach
        </select>
    @endif
</td>
<td>
    @if ($line->isTracked())
        <div class="splits" data-splits>
            @foreach ($form->splits($line) as $n => $split)
                <span class="split">
                    <input class="form-control code" name="lines[{{ $line->id }}][splits][{{ $n }}][code]"
                        value="{{ $split['code'] }}" list="lots-{{ $line->itemId }}" autocomplete="off"
                        placeholder="{{ $line->tracking }}" aria-label="{{ $form->splitLabel($line, $n) }}">
                    <input class="form-control n few" name="lines[{{ $line->id }}][splits][{{ $n }}][quantity]"
                        value="{{ $split['quantity'] }}" inputmode="decimal" autocomplete="off"
                        aria-label="{{ $form->splitQuantityLabel($line, $n) }}">
                </span>
            @endforeach
            @if ($line->left() !== null)
                <span @class(['left', $line->isNamed() ? 'good' : 'behind notched'])
                    data-left>{{ $line->leftSays() }}</span>
            @endif
        </div>
    @else
        <span class="sub">{{ $line->places() }}</span>
    @endif
    <x-why :field="$form->key($line, 'splits')" />
</td>
<td class="tight">
    <details class="more" @if ($form->isWrong($line)) open @endif>
        <summary aria-label="More on {{ $line->item }} for {{ $line->order }}">more</summary>
        @if ($form->isWrong($line))
            <div class="line-more">@include('usage.line')</div>
        @else
            <div class="line-more" hx-get="{{ route('slips.line', [$slip->id, $line->id]) }}"
                hx-trigger="toggle from:closest details once"></div>
        @endif
    </details>
</td>
