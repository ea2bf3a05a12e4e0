@php($w = fn (int $n, string $one, string $many): string => $n === 0 ? "No {$one}" : ($n === 1 ? "1 {$one}" : "{$n} {$many}"))
<x-layout title="Down and away">
    <p class="lead">{{ $w($list->down->count(), 'machine is down', 'machines are down') }}. {{ $w($list->away->count(), 'person is away', 'people are away') }}.
        @if (session('booking'))<span class="soon">{{ \App\Queries\Board\EffectOf::booking(session('booking')) }}</span> <a href="{{ route('late.index') }}">Late orders, and what would help</a> @endif</p>
    <div class="halves">
        <section><h2>Machines</h2>
            @if ($list->down->isNotEmpty())<table class="list"><thead><tr><th>Machine</th><th>From</th><th>Until</th><th>Why</th><th></th></tr></thead><tbody>
            @foreach ($list->down as $row)<tr><td>{{ $row->name }}{{ $row->machines > 1 ? " {$row->machine}" : '' }}</td><td class="tight">{{ $print->when($row->from_at) }}</td><td>{{ $row->until_at === null ? 'unknown, planned as 8 open hours from now' : $print->when($row->until_at) }}</td><td>{{ $row->reason }} <span class="sub">{{ $row->by }}</span></td><td class="tight">@can('say-absent')<form method="post" action="{{ route('absence.back', ['machine', $row->id]) }}">@csrf @token<button class="btn btn-quiet btn-small">It is back</button></form>@endcan</td></tr>@endforeach
            </tbody></table>@else<p class="none">All machines run as their calendars say.</p>@endif
            @can('say-absent')
            @php($form = new \App\Http\Typed('machine'))
            <form method="post" action="{{ route('absence.machine') }}" class="actions align-items-end">@csrf @token('machine')
                <div class="in"><label for="down-centre">Work centre</label><select class="form-select" id="down-centre" name="centre">@foreach ($list->centres as $one)<option value="{{ $one->id }}" @selected((int) $form->value('centre', (string) $centre) === $one->id)>{{ $one->name }}</option>@endforeach</select></div>
                <x-field :in="$form" name="machine" label="Machine, 0 = all" value="{{ $list->centres->firstWhere('id', $centre)?->machines > 1 ? 1 : 0 }}" class="n" inputmode="numeric" />
                <x-field :in="$form" name="from" label="From, empty = now" type="datetime-local" /><x-field :in="$form" name="until" label="Until, empty = unknown" type="datetime-local" />
                <x-field :in="$form" name="reason" label="What is wrong" size="18" maxlength="200" />
                <button class="btn btn-act">Say that it is down</button>
            </form>
            @endcan
        </section>
        <section><h2>People</h2>
            @if ($list->away->isNotEmpty())<table class="list"><thead><tr><th>Person</th><th>Of</th><th>From</th><th>Until</th><th>Why</th><th></th></tr></thead><tbody>
            @foreach ($list->away as $row)<tr><td>{{ $row->name }}</td><td>{{ $row->centre }}</td><td class="tight">{{ $print->when($row->from_at) }}</td><td>{{ $row->until_at === null ? 'unknown, planned as 8 open hours from now' : $print->when($row->until_at) }}</td><td>{{ $row->reason }}</td><td class="tight">@can('say-absent')<form method="post" action="{{ route('absence.back', ['person', $row->id]) }}">@csrf @token<button class="btn btn-quiet btn-small">Is back</button></form>@endcan</td></tr>@endforeach
            </tbody></table>@else<p class="none">{{ $list->people->isEmpty() ? 'No people are entered yet: import people.csv.' : 'Everybody is there as their calendars say.' }}</p>@endif
            @can('say-absent') @if ($list->people->isNotEmpty())
            @php($form = new \App\Http\Typed('person'))
            <form method="post" action="{{ route('absence.person') }}" class="actions align-items-end">@csrf @token('person')
                <div class="in"><label for="away-person">Person</label><select class="form-select" id="away-person" name="person">@foreach ($list->people as $one)<option value="{{ $one->id }}" @selected((int) $form->value('person') === $one->id)>{{ $one->name }}, {{ $one->centre }}</option>@endforeach</select></div>
                <x-field :in="$form" name="from" label="From, empty = now" type="datetime-local" /><x-field :in="$form" name="until" label="Until, empty = unknown" type="datetime-local" />
                <x-field :in="$form" name="reason" label="Why" size="18" maxlength="200" />
                <button class="btn btn-act">Say that they are away</button>
            </form>
            @endif @endcan
        </section>
    </div>
</x-layout>
