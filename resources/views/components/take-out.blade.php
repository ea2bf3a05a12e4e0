@props(['kinds'])
{{-- Product data out as files, in the form the import reads. --}}
<x-form :to="route('take-out.store')" key="take-out" data-whole>
    <div class="ticks">
        @foreach ($kinds as $kind)
            <label><input type="checkbox" name="kinds[]" value="{{ $kind }}" checked> {{ $kind }}</label>
        @endforeach
    </div>
    <x-why field="kinds" />
    <div class="actions">
        <button class="btn btn-quiet" name="format" value="csv">As CSV</button>
        <button class="btn btn-quiet" name="format" value="json">As JSON</button>
    </div>
    @cannot('see-money')
        <p class="sub">Without prices and rates: read in again, the file leaves them as they are.</p>
    @endcannot
</x-form>
