{{-- What is known of a work centre. --}}
<div class="field"><x-field name="name" label="Name" :value="$centre?->name" size="24" maxlength="60" /></div>
<div class="field">
    <x-choice name="calendar_id" label="Calendar" :options="$calendars" :value="$centre?->calendar_id" />
</div>
<div class="field">
    <x-field name="machines" label="Like machines" class="n" :value="$centre?->machines ?? 1" inputmode="numeric" />
</div>
<div class="field">
    <x-field name="load_size" label="Pieces in one load, 0: one step at a time" class="n"
        :value="$centre?->load_size ?? 0" inputmode="numeric" />
</div>
<div class="field">
    <x-field name="overtime_hours" label="Overtime of an evening, hours; empty: as the shop, 0: none" class="n"
        :value="$centre?->overtime_hours" inputmode="numeric" />
</div>
<div class="field">
    <label class="d-inline">
        <input type="hidden" name="no_saturdays" value="0">
        <input type="checkbox" name="no_saturdays" value="1"
            @checked(old('no_saturdays', $centre?->no_saturdays ? '1' : '0') === '1')>
        never on a Saturday
    </label>
</div>
@can('see-money')
    <div class="field">
        <x-field name="labour_rate" label="Labour, € an hour" class="n" :value="$print->amount($centre?->labour_rate)"
            inputmode="decimal" />
    </div>
    <div class="field">
        <x-field name="machine_rate" label="Machine, € an hour" class="n"
            :value="$print->amount($centre?->machine_rate)" inputmode="decimal" />
    </div>
    <div class="field">
        <x-field name="overhead_percent" label="Overhead, % of labour" class="n"
            :value="$print->amount($centre?->overhead_percent)" inputmode="decimal" />
    </div>
    <div class="field">
        <x-field name="overhead_hour" label="and € an hour it runs" class="n"
            :value="$print->amount($centre?->overhead_hour)" inputmode="decimal" />
    </div>
    <div class="field">
        <x-field name="overhead_piece" label="and € a piece" class="n"
            :value="$print->amount($centre?->overhead_piece)" inputmode="decimal" />
    </div>
@endcan
