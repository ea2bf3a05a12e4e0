<x-layout title="Set up once">
    <div class="head">
        <h1>Set up once</h1>
        <span class="say">
            @if ($together->groups === [] && $together->runs === [])
                No two firm orders have a set-up in common.
            @else
                Tick steps of different orders: the work centre is set up for the longest, they run one behind the
                other where the last of them stands in the plan, and each order pays its share of the set-up by its run.
                @if ($together->isCut) More firm steps are there than are looked at: these are the first. @endif
            @endif
        </span>
    </div>
    @foreach ($together->runs as $run)
        <h2>
            {{ $run[0]->where }}, {{ $run[0]->ofRun }} min for {{ $print->count(count($run), 'order', 'orders') }}
            @if ($together->unpaid($run) > 0)
                <span class="sub">{{ $together->unpaid($run) }} min were to be paid by an order that ended</span>
            @endif
        </h2>
        <table class="list even">
            @include('combine.together-head', ['last' => 'Pays'])
            <tbody>
                @foreach ($run as $row)
                    <tr>
                        <td class="tight"></td>
                        @include('combine.together-cells')
                        <td class="n">{{ $row->pays() }}</td>
                        <td class="tight">
                            @if ($row->isFirm)
                                @can('change-order')
                                    <x-form method="delete" :to="route('set-ups.destroy', $row->id)">
                                        <button class="btn btn-quiet btn-small">Set up by itself</button>
                                    </x-form>
                                @endcan
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endforeach
    @foreach ($together->groups as $group => $rows)
        <x-form :to="route('set-ups.store')" :key="'together-'.$group">
            <h2>
                {{ $rows[0]->where }}
                <span class="sub">up to {{ $print->minutes($together->saves($rows)) }} less</span>
            </h2>
            <table class="list even">
                @include('combine.together-head', ['last' => 'Set-up'])
                <tbody>
                    @foreach ($rows as $row)
                        <tr>
                            <td class="tight">
                                <input type="checkbox" name="steps[]" value="{{ $row->id }}"
                                    aria-label="{{ $row->label() }}">
                            </td>
                            @include('combine.together-cells')
                            <td class="n">{{ $print->minutes($row->setup) }}</td>
                            <td></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @can('change-order')
                <div class="actions"><button class="btn btn-act">Set up once for these</button></div>
            @endcan
        </x-form>
    @endforeach
</x-layout>
