{{-- On what terms a supplier delivers. --}}
@can('see-money')
    <x-asked :says="$form->help('minimum_order')">
        <x-field name="minimum_order" label="An order is at least, €" class="n" :value="$form->value('minimum_order')"
            inputmode="decimal" />
    </x-asked>
@endcan
<x-asked :says="$form->help('calendar_id')">
    <x-choice name="calendar_id" label="Works" :options="$form->calendars()" :value="$form->value('calendar_id')" />
</x-asked>
<x-asked :says="$form->help('transport_days')">
    <x-field name="transport_days" label="Working days on the way" class="n" :value="$form->value('transport_days')"
        inputmode="numeric" />
</x-asked>
<x-asked :says="$form->help('over_percent')">
    <x-field name="over_percent" label="More than ordered taken, %" class="n" :value="$form->value('over_percent')"
        inputmode="numeric" placeholder="all" />
</x-asked>
@foreach (['orders_on' => 'Takes orders on', 'delivers_on' => 'Delivers on'] as $field => $label)
    <x-asked :says="$form->help($field)">
        <div class="ticks" role="group" aria-label="{{ $label }}">
            <span class="sub">{{ $label }}</span>
            @foreach ($form->weekdays() as $day => $name)
                <label>
                    <input type="checkbox" name="{{ $field }}[]" value="{{ $day }}" @checked($form->isOn($field, $day))>
                    {{ $name }}
                </label>
            @endforeach
        </div>
        <x-why :field="$field" />
    </x-asked>
@endforeach
