{{-- On what terms suppliers sell an item. --}}
<div class="wide most">
    <table class="list typed">
        <thead>
            <tr>
                <th>Supplier</th>
                <th>Their number</th>
                <th class="n">At least</th>
                <th class="n">Lead time, days</th>
                <th class="n">There and back, days</th>
                <th class="n">More taken, %</th>
                @can('see-money')
                    <th>€ each: 5.00 10:4.50 50:3.75</th>
                    <th class="n">Set-up, €</th>
                    <th class="n">Least, €</th>
                @endcan
                <th>Made of ours: TUBE-42:0.42</th>
                <th></th>
            </tr>
        </thead>
        <tbody data-grow>
            @foreach ($form->sources->rows as $at => $row)
                <tr>
                    <td>
                        <x-pick-cell :form="$form->sources" :at="$at" field="supplier" label="Sold by" none="nobody" />
                    </td>
                    <td>
                        <x-cell :form="$form->sources" :at="$at" field="number" label="Their number" size="14"
                            maxlength="60" />
                    </td>
                    <td class="n">
                        <x-cell class="n few" :form="$form->sources" :at="$at" field="minimum" label="At least"
                            inputmode="decimal" />
                    </td>
                    <td class="n">
                        <x-cell class="n few" :form="$form->sources" :at="$at" field="lead_time_days"
                            label="Lead time of this supplier, days" inputmode="numeric" placeholder="above" />
                    </td>
                    <td class="n">
                        <x-cell class="n few" :form="$form->sources" :at="$at" field="transport_days"
                            label="Of a service: days on the way, there and back" inputmode="numeric" />
                    </td>
                    <td class="n">
                        <x-cell class="n few" :form="$form->sources" :at="$at" field="over_percent"
                            label="So much more than ordered is taken, %" inputmode="numeric" placeholder="theirs" />
                    </td>
                    @can('see-money')
                        <td>
                            <x-cell :form="$form->sources" :at="$at" field="prices" label="Prices" size="22"
                                maxlength="200" />
                        </td>
                        <td class="n">
                            <x-cell class="n few" :form="$form->sources" :at="$at" field="setup_charge"
                                label="Of a service: charged once for an order, €" inputmode="decimal" />
                        </td>
                        <td class="n">
                            <x-cell class="n few" :form="$form->sources" :at="$at" field="least_charge"
                                label="Of a service: charged for the pieces of an order at least, €"
                                inputmode="decimal" />
                        </td>
                    @endcan
                    <td>
                        <x-cell :form="$form->sources" :at="$at" field="along" size="16" maxlength="200"
                            label="Parts of ours that go along for one" />
                    </td>
                    <td></td>
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
