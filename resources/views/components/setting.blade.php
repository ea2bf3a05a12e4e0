@props(['setting', 'value'])
{{-- One thing the shop sets, with what it is for. --}}
<x-asked :says="$setting->help()">
    @if ($setting->choices() !== [])
        <x-choice :name="$setting->value" :label="$setting->label()" :options="$setting->choices()" :value="$value" />
    @elseif ($setting->isText())
        <x-field :name="$setting->value" :label="$setting->label()" :value="$value" size="40"
            maxlength="120" />
    @else
        <x-field :name="$setting->value" :label="$setting->label()" class="n" :value="$value" maxlength="8" />
    @endif
</x-asked>
