<x-layout :title="'Pick list '.$slip->id">
    <div class="head">
        <h1>Pick list {{ $slip->id }}</h1>
        <span class="say">{{ $list->says() }}</span>
        <span class="ms-auto"></span>
        <a href="{{ route('slips.show', $slip->id) }}">The slip</a>
        <a href="{{ route('slips.paper', $slip->id) }}" target="_blank">Print</a>
    </div>
    @if ($mayBook)
        <x-form class="actions" :to="route('slips.picked', $slip->id)">
            <input type="hidden" name="version" value="{{ $slip->version }}">
            <input type="hidden" name="do" value="scan">
            <x-field name="scan" label="Scan a lot, serial or item" size="26" maxlength="80" autofocus />
            <button class="btn btn-quiet align-self-end">Picked</button>
        </x-form>
    @endif
    <x-form :to="route('slips.picked', $slip->id)">
        <input type="hidden" name="version" value="{{ $slip->version }}">
        @if ($list->rows->isEmpty())
            <div class="none">Nothing of it is in stores.</div>
        @else
            @include('usage.pick-rows')
            @if ($mayBook)
                <div class="actions">
                    <button class="btn btn-act" name="do" value="book">Book what is picked</button>
                    <button class="btn btn-quiet" name="do" value="all">All of it is picked</button>
                    <button class="btn btn-quiet" name="do" value="tick">Keep the ticks</button>
                </div>
            @endif
        @endif
    </x-form>
    @if ($list->missing->isNotEmpty())
        <h2>Not there</h2>
        <table class="list">
            <tbody>
                @foreach ($list->missing as $row)
                    <tr>
                        <td>{{ $row->item }} <span class="sub text-nowrap">{{ $row->itemNumber }}</span></td>
                        <td class="n behind notched">{{ $print->amount($row->quantity) }}</td>
                        <td>{{ $row->unit }}</td>
                        <td class="num">{{ $row->order }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
