@props(['days'])
{{-- Days that differ from the week: to take out, to add, to read from a file. --}}
<section>
    <h2>Days that differ</h2>
    @if ($days->isEmpty())
        <p class="none">No day ahead differs from the week.</p>
    @else
        <table class="list">
            <thead>
                <tr><th>Date</th><th></th><th>Time</th><th>Name</th><th>Take out</th></tr>
            </thead>
            <tbody>
            @foreach ($days as $day)
                <tr>
                    <td class="tight">{{ $day->says() }}</td>
                    <td>{{ $day->kind }}</td>
                    <td class="tight">{{ $day->span() ?: 'whole day' }}</td>
                    <td>{{ $day->name }}</td>
                    <td>
                        <input type="checkbox" name="remove[]" value="{{ $day->id }}"
                            aria-label="Take out {{ $day->date }} {{ $day->name }}"
                            @checked(in_array((string) $day->id, old('remove', []), true))>
                    </td>
                </tr>
            @endforeach
            </tbody>
        </table>
    @endif
    <div class="actions align-items-end">
        <x-day name="date" label="Add a day" />
        <x-choice name="kind" label="It is" :options="['closed' => 'closed', 'overtime' => 'overtime']" />
        <x-field name="from" label="From" size="5" maxlength="5" placeholder="6:00" />
        <x-field name="to" label="To" size="5" maxlength="5" placeholder="14:00" />
        <x-field name="name" label="Name" size="14" maxlength="60" />
    </div>
    <div class="in">
        <label for="day-file">Or days from an iCalendar file</label>
        <input class="form-control" type="file" name="file" id="day-file" accept=".ics,text/calendar">
        <x-why field="file" />
    </div>
</section>
