<div class="in">
    @unless ($bare)
        <label for="{{ $id }}">{{ $label }}</label>
    @endunless
    <input
        {{ $attributes
            ->class(['form-control', 'is-wrong' => $why])
            ->merge(['type' => 'text', 'autocomplete' => 'off']) }}
        id="{{ $id }}"
        name="{{ $name }}"
        value="{{ $typed }}"
        @if ($bare) aria-label="{{ $label }}" @endif
        @if ($why) aria-invalid="true" aria-describedby="why-{{ $id }}" @endif
    >
    @if ($why)
        <div class="why" id="why-{{ $id }}">{{ $why }}</div>
    @endif
</div>
