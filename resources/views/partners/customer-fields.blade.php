{{-- On what terms we deliver to a customer. --}}
<x-asked :says="$form->help('ship_to')">
    <x-field name="ship_to" label="Goods go to, if elsewhere" :value="$form->value('ship_to')" size="40"
        maxlength="200" />
</x-asked>
<x-asked :says="$form->help('finish_days')">
    <x-field name="finish_days" label="Working days between finished and shipped" class="n"
        :value="$form->value('finish_days')" inputmode="numeric" :placeholder="$form->shopsDays()" />
</x-asked>
<x-asked :says="$form->help('price_level')">
    <x-field name="price_level" label="Price level" :value="$form->value('price_level')" size="12" maxlength="20"
        list="levels" autocomplete="off" />
    <datalist id="levels">
        @foreach ($form->levels() as $level)<option value="{{ $level }}"></option>@endforeach
    </datalist>
</x-asked>
<x-asked :says="$form->help('is_whole_only')">
    <label class="d-inline">
        <input type="hidden" name="is_whole_only" value="0">
        <input type="checkbox" name="is_whole_only" value="1"
            @checked(old('is_whole_only', $form->value('is_whole_only')) === '1')> whole orders only
    </label>
</x-asked>
