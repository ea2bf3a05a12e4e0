<x-layout title="Periods">
    <div class="head"><h1>Periods of the books</h1><span class="say">{{ $periods->isEmpty() ? 'None is closed.' : 'Closed up to '.$periods->first()->ends_on.'.' }} What is entered later goes into the open one, with the day it was entered.</span></div>
    @can('value')<form class="actions align-items-end" method="post" action="{{ route('periods.store') }}">@csrf @token<x-day name="ends_on" label="Last day" /><button class="btn btn-act">Close the books up to this day</button></form>@endcan
    @if ($periods->isNotEmpty())<table class="list"><thead><tr><th>Closed up to</th><th>When</th><th>Who</th></tr></thead><tbody>@foreach ($periods as $row)<tr><td>{{ $row->ends_on }}</td><td>{{ $print->moment($row->closed_at) }}</td><td>{{ $row->person }}</td></tr>@endforeach</tbody></table>@endif
</x-layout>
