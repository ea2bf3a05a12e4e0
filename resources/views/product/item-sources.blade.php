{{-- On what terms suppliers sell an item. --}}
<div class="wide">
    <table class="list typed">
        <thead>
            <tr>
                <th>Supplier</th>
                <th>Their number</th>
                <th class="n">At least</th>
                <th class="n">Lead time, days</th>
                @can('see-money')<th>€ each: 5.00 10:4.50 50:3.75</th>@endcan
                <th></th>
            </tr>
        </thead>
        <tbody data-grow>
            @foreach ($form->sources->rows as $at => $row)
                <tr>
                    <td>
                        <select @class(['form-select', 'is-wrong' => $form->sources->isWrong($at, 'supplier')])
                            name="{{ $form->sources->name($at, 'supplier') }}" aria-label="Sold by">
                            <option value="">nobody</option>
                            @foreach ($form->sources->choices['supplier'] as $id => $name)
                                <option value="{{ $id }}" @selected($row['supplier'] == $id)>{{ $name }}</option>
                            @endforeach
                        </select>
                        <x-why :field="$form->sources->key($at, 'supplier')" />
                    </td>
                    <td>
                        <input class="form-control" name="{{ $form->sources->name($at, 'number') }}"
                            value="{{ $row['number'] }}" maxlength="60" size="14" autocomplete="off"
                            aria-label="Their number">
                        <x-why :field="$form->sources->key($at, 'number')" />
                    </td>
                    <td class="n">
                        <input class="form-control n few" name="{{ $form->sources->name($at, 'minimum') }}"
                            value="{{ $row['minimum'] }}" inputmode="decimal" autocomplete="off" aria-label="At least">
                        <x-why :field="$form->sources->key($at, 'minimum')" />
                    </td>
                    <td class="n">
                        <input class="form-control n few" name="{{ $form->sources->name($at, 'lead_time_days') }}"
                            value="{{ $row['lead_time_days'] }}" inputmode="numeric" placeholder="as above"
                            autocomplete="off" aria-label="Lead time of this supplier, days">
                        <x-why :field="$form->sources->key($at, 'lead_time_days')" />
                    </td>
                    @can('see-money')
                        <td>
                            <input @class(['form-control', 'is-wrong' => $form->sources->isWrong($at, 'prices')])
                                name="{{ $form->sources->name($at, 'prices') }}" value="{{ $row['prices'] }}" size="26"
                                maxlength="200" autocomplete="off" aria-label="Prices">
                            <x-why :field="$form->sources->key($at, 'prices')" />
                        </td>
                    @endcan
                    <td></td>
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
