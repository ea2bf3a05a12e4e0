{{-- Parts of ours that went along, and what became of them. --}}
<h2>Went along</h2>
<div class="wide">
    <table class="list">
        <thead>
            <tr>
                <th class="n">Line</th>
                <th>Part of ours</th>
                <th>Lot</th>
                <th>For</th>
                <th class="n">Sent</th>
                <th class="n">Used</th>
                <th class="n">In spoiled ones</th>
                <th class="n">Lost</th>
                <th class="n">Back</th>
                <th class="n">There</th>
                <th>Unit</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->parts as $part)
                <tr>
                    <td class="n">{{ $part->position }}</td>
                    <td>{{ $part->item }} <span class="sub text-nowrap">{{ $part->itemNumber }}</span></td>
                    <td>{{ $part->lot }}</td>
                    <td class="tight">
                        <a class="num" href="{{ $part->address() }}">{{ $part->line }}</a>
                    </td>
                    <td class="n">{{ $print->amount($part->amounts->sent) }}</td>
                    <td class="n">{{ $print->some($part->amounts->good) }}</td>
                    <td class="n">{{ $print->some($part->amounts->spoiled) }}</td>
                    <td class="n">{{ $print->some($part->amounts->lost) }}</td>
                    <td class="n">{{ $print->some($part->amounts->unworked) }}</td>
                    <td class="n">{{ $print->some($part->amounts->there()) }}</td>
                    <td>{{ $part->unit }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
