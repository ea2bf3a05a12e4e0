<x-layout title="Send out" data-plan>
    <div class="head">
        <h1>Send out</h1>
        <span class="say">{{ $ready->says() }} {{ $ready->all->says() }}</span>
        <a class="ms-auto outside" href="{{ route('at-suppliers.index') }}">At suppliers</a>
    </div>
    @foreach ($ready->suppliers() as $supplier => $name)
        @include('outside.ready', [
            'rows' => $ready->bySupplier[$supplier] ?? collect(),
            'parts' => $ready->partsFor($supplier),
            'components' => $ready->componentsFor($supplier),
        ])
    @endforeach
    <h2>Sent</h2>
    @if ($sent->isEmpty())
        <div class="none">Nothing was sent yet.</div>
    @else
        <table class="list">
            <thead>
                <tr>
                    <th>Consignment</th>
                    <th>To</th>
                    <th>Sent</th>
                    <th class="n">Lines</th>
                    <th>How it stands</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($sent as $row)
                    <tr>
                        <td class="tight">
                            <a class="num" href="{{ route('consignments.show', $row->id) }}">{{ $row->number }}</a>
                        </td>
                        <td class="outside">{{ $row->supplier }}</td>
                        <td class="tight">{{ $print->exact($row->sentAt) }}</td>
                        <td class="n">{{ $row->lines }}</td>
                        <td>{{ $row->says() }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
