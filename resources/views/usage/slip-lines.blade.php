{{-- The lines of a slip, and what can be typed at each. Nothing is included or a component in the loop: there can be a
    thousand. --}}
@foreach ($page->lines as $at => $line)
    <tr @class(['wrong' => $form->isWrong($line), 'out' => $line->isOut]) data-line>
        <td class="tight">
            @if (! $page->isOfOrderAbove($at))
                <a class="num" href="{{ route('orders.show', $line->orderId) }}">{{ $line->order }}</a>
                @if ($line->orderSays() !== '')
                    <span class="tag held">{{ $line->orderSays() }}</span>
                @endif
            @endif
        </td>
        <td class="n">{{ $line->step }}</td>
        <td>
            {{ $line->item }} <span class="sub text-nowrap">{{ $line->itemNumber }}</span>
            @if ($line->reason !== '')
                <span class="sub"> · {{ $line->reason }}</span>
            @endif
            @if ($line->componentId === null)
                <span class="tag soon">not planned</span>
            @elseif ($line->isSubstitute())
                <span class="tag soon">for {{ $line->plannedItem }}</span>
            @endif
            @if ($line->isCustomersOwn())
                <span class="tag">customer's own</span>
            @endif
        </td>
        <td class="n w1">{{ $print->amount($line->planned) }}</td>
        <td class="n w1">
            {{ $print->some($line->used) }}
            @if ($line->replaced?->isPositive())
                <span class="sub"> +{{ $print->amount($line->replaced) }}</span>
            @endif
        </td>
        <td class="n">{{ $print->amount($line->proposed) }}</td>
        <td @class(['n w2', 'behind notched' => $line->isScarce()])>{{ $print->amount($line->onHand) }}</td>
        @if (! $mayBook || $line->isOut)
            <td class="n">{{ $line->isOut ? '–' : $line->typed }}</td>
            <td>{{ $line->unitSays() }}</td>
            <td>
                @foreach ($line->lots() as $split)
                    {{ $split->code }}
                    <span class="sub">{{ $print->amount($split->typed) }}</span>{{ $loop->last ? '' : ', ' }}
                @endforeach
            </td>
            <td class="tight">
                @if ($mayBook)
                    <button class="btn btn-quiet btn-small" name="lines[{{ $line->id }}][out]" value="0">
                        Put back
                    </button>
                @endif
            </td>
        @else
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
                                <input class="form-control n few"
                                    name="lines[{{ $line->id }}][splits][{{ $n }}][quantity]"
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
        @endif
    </tr>
@endforeach
