<x-layout title="Bills">
    <div class="head">
        <h1>Bills</h1>
        <nav class="pick" aria-label="Show">
            @foreach ($filter->cases() as $one)
                <a href="{{ route('bills.index', ['show' => $one->value]) }}"
                    @if ($one === $filter) aria-current="true" @endif>{{ $one->label() }}</a>
            @endforeach
        </nav>
        <span class="say">{{ $says }}</span>
        <a class="ms-auto" href="{{ route('owed.index') }}">Came and not billed</a>
    </div>
    @can('bill')
        <div class="halves">
            <form class="actions align-items-end" method="get" action="{{ route('bills.create') }}">
                <x-choice name="supplier" label="Type a bill of" :options="$suppliers" />
                <button class="btn btn-act" data-keep>Type it</button>
            </form>
            <x-form key="file" class="actions align-items-end" :to="route('bills.file')" enctype="multipart/form-data">
                <div class="in">
                    <label for="b-file">Or bills as a file, CSV or JSON</label>
                    <input class="form-control" type="file" id="b-file" name="file" accept=".csv,.json" required>
                    <x-why field="file" />
                </div>
                <button class="btn btn-quiet">Put them down</button>
            </x-form>
        </div>
    @endcan
    @if ($bills->rows->isEmpty())
        <div class="none">{{ $filter->none() }}</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Bill</th>
                    <th>Supplier</th>
                    <th>Of</th>
                    <th>Due</th>
                    <th class="n">Lines</th>
                    <th class="n">€</th>
                    <th>{{ $filter->isOpen() ? 'Against what came' : 'Note' }}</th>
                    <th></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($bills->rows as $bill)
                    <tr>
                        <td><a class="num" href="{{ route('bills.show', $bill->id) }}">{{ $bill->number }}</a></td>
                        <td class="cut">{{ $bill->supplier }}</td>
                        <td class="tight">{{ $print->day($bill->billedOn) }}</td>
                        <td class="tight">{{ $bill->dueOn === null ? '' : $print->day($bill->dueOn) }}</td>
                        <td class="n">{{ $bill->lines }}</td>
                        <td class="n">{{ $print->money($bill->cents) }}</td>
                        <td @class(['cut', 'behind' => $bill->differs()])>{{ $bill->says() }}</td>
                        <td class="tight">
                            @if ($bill->isAsAgreed() && Gate::allows('bill'))
                                <x-form method="put" :key="'accept-'.$bill->id" :to="route('bills.accept', $bill->id)">
                                    <input type="hidden" name="version" value="{{ $bill->against->version }}">
                                    <button class="btn btn-quiet btn-small">Accept it</button>
                                </x-form>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <x-cut :of="$bills" />
    @endif
</x-layout>
