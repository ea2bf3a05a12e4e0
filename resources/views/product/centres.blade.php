<x-layout title="Work centres">
    <div class="head">
        <h1>Work centres</h1>
        <span class="say">{{ $print->count($centres->count(), 'work centre', 'work centres') }}</span>
    </div>
    @if ($centres->isEmpty())
        <div class="none">
            None yet. An order is planned at work centres, so they come first; one can be entered below.
        </div>
    @endif
    <table @class(['list', 'd-none' => $centres->isEmpty()])>
        <thead>
            <tr>
                <th>Work centre</th>
                <th></th>
                <th class="n">Machines</th>
                <th class="n">People</th>
                <th>Calendar</th>
                <th>Works in</th>
                <th class="n">Steps of routings</th>
                <th class="n w1">Labour € an hour</th>
                <th class="n w1">Machine € an hour</th>
                <th class="n w1">Overhead</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($centres as $centre)
                <tr>
                    <td class="tight">
                        <a class="num" href="{{ route('centres.show', $centre->id) }}">{{ $centre->code }}</a>
                    </td>
                    <td class="cut">{{ $centre->name }}</td>
                    <td class="n">{{ $centre->machines }}</td>
                    <td class="n">{{ $print->some($centre->people) }}</td>
                    <td class="tight">{{ $centre->calendar }}</td>
                    <td>{{ $centre->works() }}</td>
                    <td class="n">{{ $print->some($centre->steps) }}</td>
                    <td class="n w1">{{ $print->price($centre->labour) }}</td>
                    <td class="n w1">{{ $print->price($centre->machine) }}</td>
                    <td class="n w1">{{ $print->field('overhead percent', $centre->overhead()) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @can('draw-up')
        <x-more summary="Enter a work centre" :open="$errors->isNotEmpty()" class="mt-3">
            <x-form :to="route('centres.store')">
                <div class="field"><x-field name="code" label="Code" size="12" maxlength="20" /></div>
                @include('product.centre-fields', ['centre' => null])
                <x-glossary :terms="$help" />
                <div class="actions"><button class="btn btn-act">Enter this work centre</button></div>
            </x-form>
        </x-more>
    @endcan
</x-layout>
