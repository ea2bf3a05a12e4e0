<x-layout :title="$page->centre->code">
    <div class="head">
        <h1>{{ $page->centre->code }} · {{ $page->centre->name }}</h1>
        <span class="say">
            {{ $page->people === [] ? 'Nobody belongs to it by name' : implode(', ', $page->people) }}
        </span>
        <span class="ms-auto"></span>
        <a href="{{ route('station.show', $page->centre->id) }}">Its station</a>
        <a href="{{ route('calendars.show', $page->centre->calendar_id) }}">Its calendar</a>
        <a href="{{ route('centres.index') }}">All work centres</a>
    </div>
    @can('draw-up')
        <x-form method="put" :to="route('centres.update', $page->centre->id)">
            <input type="hidden" name="version" value="{{ $page->centre->version }}">
            @include('product.centre-fields', ['centre' => $page->centre])
            <h2>From one setup family to the next</h2>
            <div class="field">
                <label class="d-inline">
                    <input type="hidden" name="has_changeovers" value="0">
                    <input type="checkbox" name="has_changeovers" value="1"
                        @checked(old('has_changeovers', $page->centre->has_changeovers ? '1' : '0') === '1')>
                    changing over takes time of its own
                </label>
            </div>
            <div class="field">
                <x-field name="other_changeover" label="Minutes where the table says nothing" class="n"
                    :value="$page->centre->other_changeover" inputmode="numeric" />
            </div>
            @include('product.changeovers')
            <x-glossary :terms="$page::HELP" />
            <div class="actions">
                <button class="btn btn-act">Change {{ $page->centre->code }}</button>
                <span class="sub">The plan follows. Released orders keep the rates they were released with.</span>
            </div>
        </x-form>
    @endcan
    <x-files :files="$page->files" :on="$page::FILES" :id="$page->centre->id" />
    <x-changes :rows="$page->changes" />
</x-layout>
