@props(['jobs'])
{{-- What is at suppliers; what came back is counted in its row. --}}
<table class="list">
    <thead>
        <tr>
            <th>Order</th>
            <th class="w2">Item</th>
            <th>Step</th>
            <th>At</th>
            <th class="n">Pieces</th>
            <th>Expected back</th>
            @can('from-supplier')
                <th>Came back good</th><th>Scrap, and why</th><th>Pass on</th><th></th>
            @endcan
        </tr>
    </thead>
    <tbody>
    @foreach ($jobs as $out)
        <tr>
            <td class="tight">
                <a class="num" href="{{ route('orders.show', $out->job->orderId) }}">{{ $out->job->order }}</a>
            </td>
            <td class="cut w2">{{ $out->job->item }}</td>
            <td>{{ $out->job->step() }}</td>
            <td class="cut outside">{{ $out->supplier }}</td>
            <td class="n">{{ $print->amount($out->job->toDo()) }}</td>
            <td><x-back :handfuls="$out->handfuls" :unit="$out->job->unit" /></td>
            @can('from-supplier')
                <x-outside-count :job="$out->job" />
            @endcan
        </tr>
    @endforeach
    </tbody>
</table>
