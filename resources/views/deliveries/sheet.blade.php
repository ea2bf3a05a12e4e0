{{-- All that the supplier can bring, typed down as it comes off the lorry; empty = nothing of it came. --}}
<x-form key="delivery" :to="route('deliveries.store')" enctype="multipart/form-data">
    <input type="hidden" name="supplier" value="{{ $sheet->supplier->id }}">
    <div class="wide">
        <table class="list typed level">
            <thead>
                <tr>
                    <th>Line</th>
                    <th>Item</th>
                    <th class="n">To come</th>
                    <th>Due</th>
                    <th class="n">Came</th>
                    <th>Unit</th>
                    <th>Lot, or serials one a line</th>
                    <th>Supplier's lot, good until, certificate</th>
                    <th>The rest</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($sheet->rows as $row)
                    <tr @class(['wrong' => $errors->has($row->key())])>
                        <td class="num tight">
                            <a href="{{ route('purchases.show', $row->order) }}">{{ $row->number }}</a>
                        </td>
                        <td>
                            {{ $row->item }} <span class="sub text-nowrap">{{ $row->itemNumber }}</span>
                            <x-why :field="$row->key()" />
                        </td>
                        <td class="n">{{ $print->amount($row->open) }} <span class="sub">{{ $row->unit }}</span></td>
                        <td class="tight">{{ $row->expected }}</td>
                        <td class="n">
                            <input type="hidden" name="{{ $row->field('seen') }}" value="{{ $row->seen }}">
                            <x-field bare :name="$row->field('quantity')" :field="$row->key('quantity')" class="n"
                                inputmode="decimal" :label="'How much of '.$row->number.' came'"
                                :placeholder="$row->all()" />
                        </td>
                        <td>
                            <x-field bare :name="$row->field('unit')" :field="$row->key('unit')" size="4"
                                :value="$row->unit" :label="'Unit of '.$row->number" />
                        </td>
                        <td>
                            @if ($row->isTracked)
                                <textarea class="form-control" rows="1" name="{{ $row->field('codes') }}"
                                    placeholder="H-1, or H-1 = 20" aria-label="Lots or serials of {{ $row->number }}"
                                    >{{ old($row->key('codes')) }}</textarea>
                            @endif
                        </td>
                        <td>
                            @if ($row->isTracked)
                                <span class="d-flex flex-wrap gap-1">
                                    <x-field bare :name="$row->field('supplier_lot')" :field="$row->key('supplier_lot')"
                                        size="8" maxlength="60" :label="'Supplier\'s lot of '.$row->number" />
                                    <x-day bare :name="$row->field('expires_on')" :field="$row->key('expires_on')"
                                        placeholder="good until" :label="$row->number.' is good until'" />
                                    <input class="form-control paper" type="file"
                                        name="{{ $row->field('certificate') }}"
                                        title="the certificate that came with it"
                                        accept=".pdf,.png,.jpg,.jpeg,.webp,.txt"
                                        aria-label="Certificate of {{ $row->number }}">
                                    <x-why :field="$row->key('certificate')" />
                                </span>
                            @endif
                        </td>
                        <td>
                            <span class="d-flex flex-wrap gap-1">
                                <x-choice bare :name="$row->field('rest')" :field="$row->key('rest')"
                                    :options="$sheet->rests()" :label="'The rest of '.$row->number" />
                                <x-day bare worked :name="$row->field('rest_on')" :field="$row->key('rest_on')"
                                    :label="'Day of the rest of '.$row->number" />
                            </span>
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </div>
    @include('deliveries.others')
    @can('goods-in')
        <div class="actions align-items-end">
            <x-field name="paper" label="Their delivery note" size="14" maxlength="60" />
            <x-choice name="place_id" label="To" :options="$sheet->places" />
            <x-choice name="condition" label="As" :options="$print->comesAs()" />
            <x-day name="booked_on" label="Came in on" placeholder="today" />
            @can('issue')
                <label class="align-self-end"
                    title="What orders in the shop wait for is issued to them in the same booking">
                    <input type="checkbox" name="straight" value="1" @checked(old('straight') === '1')>
                    straight to orders that wait
                </label>
            @endcan
            <button class="btn btn-act">Book the delivery in</button>
        </div>
    @endcan
</x-form>
