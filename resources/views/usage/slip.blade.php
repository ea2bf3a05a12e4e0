<x-layout :title="'Slip '.$slip->id">
    <div class="head">
        <h1>Usage slip {{ $slip->id }}</h1>
        <span class="say">
            {{ $page->says() }}
            @if ($slip->isBooked())
                <a href="{{ route('bookings.show', $slip->booking_id) }}">Booked</a> by {{ $slip->changedBy->name }}.
            @elseif ($slip->isDropped())
                Given up by {{ $slip->changedBy->name }}.
            @else
                {{ $page->todo() }}
            @endif
        </span>
        <span class="ms-auto"></span>
        @if ($page->isOpen())
            <a href="{{ route('slips.pick', $slip->id) }}">Pick list</a>
            <a href="{{ route('slips.paper', $slip->id) }}" target="_blank">Print</a>
        @endif
        <a href="{{ route('issue.index') }}">All slips</a>
    </div>
    @foreach ($page->lots as $item => $lots)
        <datalist id="lots-{{ $item }}">
            @foreach ($lots as $lot)
                <option value="{{ $lot->code }}">{{ $print->amount($lot->quantity) }} {{ $lot->where() }}</option>
            @endforeach
        </datalist>
    @endforeach
    <form method="post" action="{{ route('slips.update', $slip->id) }}" id="slip">
        @csrf
        @method('put')
        @token
        <input type="hidden" name="version" value="{{ $slip->version }}">
        @if ($mayBook)
            @include('usage.slip-bar')
        @endif
        @if ($page->lines->isEmpty())
            <div class="none">This slip has no line.</div>
        @else
            <table class="list slip">
                <thead>
                    <tr>
                        <th>Order</th>
                        <th class="n">Step</th>
                        <th>Item</th>
                        <th class="n w1">Planned</th>
                        <th class="n w1">Used</th>
                        <th class="n">Proposed</th>
                        <th class="n w2">On hand</th>
                        <th class="n">Use now</th>
                        <th>Unit</th>
                        <th>Lots and serials</th>
                        <th></th>
                    </tr>
                </thead>
                <tbody>
                    @include('usage.slip-lines')
                </tbody>
            </table>
        @endif
    </form>
    @if ($mayBook)
        @include('usage.slip-add')
        <x-form class="actions mt-3" method="delete" :to="route('slips.destroy', $slip->id)">
            <input type="hidden" name="version" value="{{ $slip->version }}">
            <button class="btn btn-quiet btn-small">Give this slip up</button>
            <span class="sub">Last kept by {{ $slip->changedBy->name }}, {{ $print->when($slip->updated_at) }}.</span>
        </x-form>
    @endif
    <x-reasons for="change" />
</x-layout>
