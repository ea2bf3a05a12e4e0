<div class="in">
    @unless ($bare)<label for="{{ $id }}">{{ $label }}</label>@endunless
    <input
        {{ $attributes
            ->class(['form-control typed-day', 'is-wrong' => $why])
            ->merge(['placeholder' => $such]) }}
        type="text" autocomplete="off" maxlength="40"
        id="{{ $id }}" name="{{ $name }}" value="{{ $shown }}" size="{{ $size }}"
        data-day="{{ $asks }}" @if ($worked) data-worked @endif @if ($end) data-end @endif
        aria-describedby="read-{{ $id }}"
        @if ($bare) aria-label="{{ $label }}" @endif @if ($why) aria-invalid="true" @endif>
    <output class="read" id="read-{{ $id }}" for="{{ $id }}"></output>
    @if ($why)<div class="why">{{ $why }}</div>@endif
</div>
