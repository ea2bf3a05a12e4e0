@props(['weekdays'])
{{-- The week as it is typed. --}}
<section>
    <h2>The week</h2>
    <table class="list">
        <thead>
            <tr><th>Day</th><th>Shifts</th><th>Breaks</th></tr>
        </thead>
        <tbody>
        @foreach ($weekdays as $day)
            <tr>
                <td>{{ $day->name }}</td>
                <td>
                    <x-field bare :name="'week['.$day->number.'][work]'" :label="$day->name.', shifts'" size="24"
                        :value="old('week.'.$day->number.'.work', $day->work)" placeholder="closed" />
                    <x-why :field="'week.'.$day->number.'.work'" />
                    <x-why :field="'week.'.$day->number" />
                </td>
                <td>
                    <x-field bare :name="'week['.$day->number.'][break]'" :label="$day->name.', breaks'" size="24"
                        :value="old('week.'.$day->number.'.break', $day->breaks)" placeholder="none" />
                    <x-why :field="'week.'.$day->number.'.break'" />
                </td>
            </tr>
        @endforeach
        </tbody>
    </table>
    <p class="sub">Such as 07:00-15:30; several with commas. An end at or before its begin is on the next day.</p>
    <x-why field="week" />
</section>
