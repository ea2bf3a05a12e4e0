{{-- What is known of an item, with what each field is for. --}}
<div class="sheet">
    <fieldset>
        <legend>What it is</legend>
        <x-asked :says="$form->help('name')">
            <x-field name="name" label="Name" :value="$form->value('name')" size="34" maxlength="100" />
        </x-asked>
        <x-asked :says="$form->help('kind')">
            <x-choice name="kind" label="Kind" :options="$form->kinds()" :value="$form->value('kind')" />
        </x-asked>
        <x-asked :says="$form->help('makers_number')">
            <x-field name="makers_number" label="Maker's number" :value="$form->value('makers_number')" size="16"
                maxlength="60" />
        </x-asked>
        <x-asked :says="$form->help('number_rule')">
            <x-field name="number_rule" label="New ones like it are numbered" :value="$form->value('number_rule')"
                size="12" maxlength="40" />
        </x-asked>
        <x-asked :says="$form->help('category')">
            <x-field name="category" label="Category" :value="$form->value('category')" size="16" maxlength="40"
                list="categories" />
            <datalist id="categories">
                @foreach ($form->categories() as $category)<option value="{{ $category }}">@endforeach
            </datalist>
        </x-asked>
        <x-asked :says="$form->help('description')">
            <label for="f-description">Described</label>
            <textarea class="form-control" id="f-description" name="description" rows="3" cols="46"
                maxlength="5000">{{ old('description', $form->value('description')) }}</textarea>
            <x-why field="description" />
        </x-asked>
        <x-asked :says="$form->help('is_running_out')">
            <label class="d-inline">
                <input type="hidden" name="is_running_out" value="0">
                <input type="checkbox" name="is_running_out" value="1"
                    @checked(old('is_running_out', $form->value('is_running_out')) === '1')> running out
            </label>
        </x-asked>
    </fieldset>
    <fieldset>
        <legend>How it is counted</legend>
        <x-asked :says="$form->help('unit_id')">
            <x-choice name="unit_id" label="Stock unit" :options="$form->stockUnits()"
                :value="$form->value('unit_id')" />
        </x-asked>
        <x-asked :says="$form->help('tracking')">
            <x-choice name="tracking" label="Told apart" :options="$form->trackings()"
                :value="$form->value('tracking')" />
        </x-asked>
        <x-asked :says="$form->help('lot_rule')">
            <x-choice name="lot_rule" label="Lots taken" :options="$form->lotRules()"
                :value="$form->value('lot_rule')" />
        </x-asked>
        <x-asked :says="$form->help('minimum_days')">
            <x-field name="minimum_days" label="Days left when used" class="n" :value="$form->value('minimum_days')"
                inputmode="numeric" />
        </x-asked>
        <x-asked :says="$form->help('inspection_days')">
            <x-field name="inspection_days" label="Days of inspection" class="n"
                :value="$form->value('inspection_days')" inputmode="numeric" />
        </x-asked>
        <x-asked :says="$form->help('minimum_issue')">
            <x-field name="minimum_issue" label="Smallest issue" class="n" :value="$form->value('minimum_issue')"
                inputmode="decimal" />
        </x-asked>
        @foreach (['weight' => 'Weight, kg', 'volume' => 'Volume, dm³'] as $field => $label)
            <x-asked :says="$form->help($field)">
                <x-field :name="$field" :label="$label" class="n" :value="$form->value($field)" inputmode="decimal" />
            </x-asked>
        @endforeach
        @include('product.item-units')
    </fieldset>
    <fieldset>
        <legend>How it comes</legend>
        <x-asked :says="$form->help('cover_for')">
            <x-choice name="cover_for" label="Comes" :options="$form->coveredFor()"
                :value="$form->value('cover_for')" />
        </x-asked>
        <x-asked :says="$form->help('supplier_id')">
            <x-choice name="supplier_id" label="Supplier" :options="$form->suppliers()"
                :value="$form->value('supplier_id')" />
        </x-asked>
        <x-asked :says="$form->help('lead_time_days')">
            <x-field name="lead_time_days" label="Lead time, days" class="n" :value="$form->value('lead_time_days')"
                inputmode="numeric" />
        </x-asked>
        <x-asked :says="$form->help('ordered_by')">
            <x-choice name="ordered_by" label="Ordered" :options="['need' => 'by need', 'level' => 'by level']"
                :value="$form->value('ordered_by')" />
        </x-asked>
        <x-asked :says="$form->help('reorder_point')">
            <x-field name="reorder_point" label="Reorder point" class="n" :value="$form->value('reorder_point')"
                inputmode="decimal" />
        </x-asked>
        <x-asked :says="$form->help('safety_stock')">
            <x-field name="safety_stock" label="Safety stock" class="n" :value="$form->value('safety_stock')"
                inputmode="decimal" />
        </x-asked>
        <x-asked :says="$form->help('lot_sizing')">
            <x-choice name="lot_sizing" label="Lot size" :options="$form->lotSizings()"
                :value="$form->value('lot_sizing')" />
        </x-asked>
        <x-asked :says="$form->help('lot_quantity')">
            <x-field name="lot_quantity" label="Lot or multiple" class="n" :value="$form->value('lot_quantity')"
                inputmode="decimal" />
        </x-asked>
        <x-asked :says="$form->help('lot_least')">
            <x-field name="lot_least" label="At least" class="n" :value="$form->value('lot_least')"
                inputmode="decimal" />
        </x-asked>
        <x-asked :says="$form->help('usual_lot')">
            <x-field name="usual_lot" label="Usual lot" class="n" :value="$form->value('usual_lot')"
                inputmode="decimal" />
        </x-asked>
        <x-asked :says="$form->help('over_percent')">
            <x-field name="over_percent" label="% more built" class="n" :value="$form->value('over_percent')"
                inputmode="numeric" />
        </x-asked>
        <x-asked :says="$form->help('is_built_for_line')">
            <label class="d-inline">
                <input type="hidden" name="is_built_for_line" value="0">
                <input type="checkbox" name="is_built_for_line" value="1"
                    @checked(old('is_built_for_line', $form->value('is_built_for_line')) === '1')> built as shipped
            </label>
            <x-why field="is_built_for_line" />
        </x-asked>
        <x-asked :says="$form->help('is_parts_if_missing')">
            <label class="d-inline">
                <input type="hidden" name="is_parts_if_missing" value="0">
                <input type="checkbox" name="is_parts_if_missing" value="1"
                    @checked(old('is_parts_if_missing', $form->value('is_parts_if_missing')) === '1')>
                its parts, where it is missing
            </label>
            <x-why field="is_parts_if_missing" />
        </x-asked>
    </fieldset>
    <fieldset class="whole">
        <legend>Who sells it</legend>
        @include('product.item-sources')
    </fieldset>
    <fieldset>
        <legend>What may stand in for it</legend>
        @include('product.item-substitutes')
    </fieldset>
    <fieldset>
        <legend>What customers call it</legend>
        @include('product.item-called')
    </fieldset>
    @can('see-money')
        <fieldset>
            <legend>What customers pay by level and quantity</legend>
            @include('product.item-sold')
        </fieldset>
    @endcan
    <fieldset>
        <legend>What it is worth</legend>
        <x-asked :says="$form->help('costing')">
            <x-choice name="costing" label="Valued by" :options="$form->costings()" :value="$form->value('costing')" />
        </x-asked>
        @can('see-money')
            <x-asked :says="$form->help('cost')">
                <x-field name="cost" label="Cost, €" class="n" :value="$form->value('cost')" inputmode="decimal" />
            </x-asked>
            <x-asked :says="$form->help('price')">
                <x-field name="price" label="Price, €" class="n" :value="$form->value('price')" inputmode="decimal" />
            </x-asked>
        @endcan
    </fieldset>
</div>
