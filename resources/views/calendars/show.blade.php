<x-layout :title="'Calendar '.$page->code">
    <div class="head">
        <h1>Calendar {{ $page->code }}</h1>
        <span class="say">{{ $page->usedBy }}</span>
        <a href="{{ route('calendars.index') }}">all calendars</a>
        <a href="{{ route('calendars.file', $page->id) }}">iCalendar file</a>
        <nav class="pick ms-auto">
            <a href="?week={{ $page->weekFrom(-1) }}">week before</a>
            <a href="?">this week</a>
            <a href="?week={{ $page->weekFrom(1) }}">week after</a>
        </nav>
    </div>
    <x-week-drawing :week="$page->week" />
    @if ($effect !== '')
        <div class="said note"><span>{{ $effect }} Nothing is kept yet.</span></div>
    @endif
    @if ($lost !== [])
        <div class="said not">
            <span>It would leave no open time: {{ implode(' ', array_slice($lost, 0, 5)) }}</span>
        </div>
    @endif
    @can('plan')
        <x-form method="put" :to="route('calendars.update', $page->id)" enctype="multipart/form-data">
            <div class="halves">
                <x-calendar-week :weekdays="$page->weekdays" />
                <x-calendar-days :days="$page->ahead" />
            </div>
            <div class="actions">
                <button class="btn btn-quiet" name="try" value="1">Show what it would do</button>
                <button class="btn btn-act">Change the calendar</button>
                @if ($lost !== [] || $errors->has('anyway'))
                    <label class="d-inline">
                        <input type="checkbox" name="anyway" value="1"> even if steps lose all open time
                    </label>
                @endif
            </div>
        </x-form>
    @endcan
    <x-changes :rows="$page->changes" />
</x-layout>
