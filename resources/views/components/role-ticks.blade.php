<fieldset class="ticks" aria-label="{{ $label }}">
    @foreach ($all as $role)
        <label>
            <input type="checkbox" name="roles[]" value="{{ $role->value }}" @checked($isOn($role))>
            {{ $role->label() }}
        </label>
    @endforeach
    @if ($why)
        <div class="why">{{ $why }}</div>
    @endif
</fieldset>
