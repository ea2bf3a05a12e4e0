<x-layout title="Builds" data-plan>
    <div class="head">
        <h1>Builds</h1>
        <span class="say">What is put together here: asked for, and booked as it is built.</span>
    </div>
    @can('build')
        <form class="filters" action="{{ route('builds.create') }}">
            <datalist id="items" hx-get="{{ route('items.choose') }}?q=" hx-trigger="load"></datalist>
            <x-field name="item" label="Build" list="items" size="24" placeholder="number, or part of a name"
                maxlength="60" />
            <x-field name="asked" label="How many" class="n" inputmode="decimal" />
            <button class="btn btn-act align-self-end">Show its parts</button>
        </form>
    @endcan
    @if ($list->cut->rows->isEmpty())
        <div class="none">Nothing is asked for.</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Build</th>
                    <th>Item</th>
                    <th class="w1">For</th>
                    <th>State</th>
                    <th class="n">Asked</th>
                    <th class="n">Built</th>
                    <th class="n">Left</th>
                    <th class="n" title="Of what is there, each as if it were the only one">Can be built now</th>
                    <th>Unit</th>
                    <th class="w2">Due</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($list->cut->rows as $build)
                    <tr>
                        <td class="tight">
                            <a class="num" href="{{ route('builds.show', $build->id) }}">{{ $build->number }}</a>
                            <span class="sub">{{ $build->reference }}</span>
                        </td>
                        <td class="cut">{{ $build->item }} <span class="sub">{{ $build->itemNumber }}</span></td>
                        <td class="cut w1">{{ $build->forWhom() }}</td>
                        <td><x-state :state="$build->state" :held="$build->isHeld" /></td>
                        <td class="n">{{ $print->amount($build->asked) }}</td>
                        <td class="n">{{ $print->some($build->received) }}</td>
                        <td class="n">{{ $print->amount($build->left()) }}</td>
                        <td class="n">
                            @if ($list->now($build)->isLessThan($build->left()))
                                <span class="soon">{{ $print->amount($list->now($build)) }}</span>
                            @else
                                {{ $print->amount($list->now($build)) }}
                            @endif
                        </td>
                        <td>{{ $build->unit }}</td>
                        <td class="tight w2">{{ $print->day($build->dueOn) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <x-cut :of="$list->cut" />
    @endif
</x-layout>
