<datalist id="reasons-{{ $kind->value }}">
    @foreach ($reasons as $reason)<option value="{{ $reason }}">@endforeach
</datalist>
