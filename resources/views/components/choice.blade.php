<div class="in">
    @unless ($bare)
        <label for="{{ $id }}">{{ $label }}</label>
    @endunless
    <select
        {{ $attributes->class(['form-select', 'is-wrong' => $why]) }}
        id="{{ $id }}"
        name="{{ $name }}"
        @if ($bare) aria-label="{{ $label }}" @endif
        @if ($why) aria-invalid="true" aria-describedby="why-{{ $id }}" @endif
    >
        @foreach ($options as $value => $says)
            <option value="{{ $value }}" @selected($isChosen($value))>{{ $says }}</option>
        @endforeach
    </select>
    @if ($why)
        <div class="why" id="why-{{ $id }}">{{ $why }}</div>
    @endif
</div>
