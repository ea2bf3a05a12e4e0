<x-layout title="Down and away">
    <p class="lead">
        {{ $list->says() }}
        @if ($effect !== '')
            <span class="soon">{{ $effect }}</span>
            <a href="{{ route('late.index') }}">Late orders, and what would help</a>
        @endif
    </p>
    <div class="halves">
        <section>
            <h2>Machines</h2>
            @if ($list->centres->isEmpty())
                <x-no-centre />
            @elseif ($list->down->isNotEmpty())
                <x-absences :rows="$list->down" of="Machine" button="It is back" />
            @else
                <p class="none">All machines run as their calendars say.</p>
            @endif
            @if ($list->centres->isNotEmpty())
                @can('say-absent')
                    <x-form key="machine" :to="route('absence.machine')" class="actions align-items-end">
                        <x-choice name="centre" label="Work centre" :options="$list->centres" :value="$centre" />
                        <x-field name="machine" label="Machine, 0 = all" :value="$list->machine" class="n"
                            inputmode="numeric" />
                        <x-moment name="from" label="From, empty = now" />
                        <x-moment name="until" label="Until, empty = unknown" end />
                        <x-field name="reason" label="What is wrong" size="18" maxlength="200" />
                        <button class="btn btn-act">Say that it is down</button>
                    </x-form>
                @endcan
            @endif
        </section>
        <section>
            <h2>People</h2>
            @if ($list->away->isNotEmpty())
                <x-absences :rows="$list->away" of="Person" button="Is back" />
            @elseif ($list->people->isEmpty())
                <p class="none">
                    Nobody who works at a work centre is entered yet.
                    <a href="{{ route('crews.index') }}">Crews</a>
                </p>
            @else
                <p class="none">Everybody is there as their calendars say.</p>
            @endif
            @if ($list->people->isNotEmpty())
                @can('say-absent')
                    <x-form key="person" :to="route('absence.person')" class="actions align-items-end">
                        <x-choice name="person" label="Person" :options="$list->people" />
                        <x-moment name="from" label="From, empty = now" />
                        <x-moment name="until" label="Until, empty = unknown" end />
                        <x-field name="reason" label="Why" size="18" maxlength="200" />
                        <button class="btn btn-act">Say that they are away</button>
                    </x-form>
                @endcan
            @endif
        </section>
    </div>
</x-layout>
