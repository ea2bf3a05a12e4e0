<div class="in">
    <label for="{{ $id }}">{{ $label }}</label>
    <input
        {{ $attributes
            ->class(['form-control typed-day', 'is-wrong' => $why])
            ->merge(['placeholder' => 'fri 6:30, +1 14:00']) }}
        type="text" autocomplete="off" maxlength="40"
        id="{{ $id }}" name="{{ $name }}" value="{{ $shown }}" size="18"
        data-day="{{ route('moment') }}" @if ($end) data-end @endif aria-describedby="read-{{ $id }}"
        @if ($why) aria-invalid="true" @endif>
    <output class="read" id="read-{{ $id }}" for="{{ $id }}"></output>
    @if ($why)<div class="why">{{ $why }}</div>@endif
</div>
