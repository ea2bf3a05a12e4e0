<x-layout :title="'Purchase '.$page->order->number">
    <div class="head">
        <h1>Purchase {{ $page->order->number }}</h1>
        <span class="say">
            <a href="{{ route('suppliers.show', $page->order->supplier_id) }}">{{ $page->order->supplier->name }}</a>
            · {{ $page->order->state->label() }} · {{ $print->money($page->total()) }} €
            @if ($page->order->supplier->terms !== '') · {{ $page->order->supplier->terms }} @endif
        </span>
        <span class="ms-auto"></span>
        <a href="{{ route('purchases.paper', $page->order->id) }}">On paper</a>
        <a href="{{ route('purchases.file', $page->order->id) }}">JSON</a>
        <a href="{{ route('purchases.index') }}">All purchases</a>
    </div>
    <x-chain :links="$page->chain" />
    @if ($page->order->changed_on)
        <div class="said note" role="status">
            It was changed since it was sent: {{ $page->order->supplier->name }} does not know yet.
            {{ $page->order->howTold() }}
        </div>
    @endif
    @if ($page->order->state->isDraft() && $page->order->cut_off_on)
        <div class="said note" role="status">
            Work of several orders gathers on it until {{ $print->day($page->order->cut_off_on) }} 15:00; then it goes
            out by mail.
        </div>
    @endif
    @if ($page->lumps > 0)
        <div class="said note" role="status">
            In it {{ $print->money($page->lumps) }} € of set-up and up to the minimum, shared over its orders by pieces.
        </div>
    @endif
    @if ($page->missingToMinimum() > 0)
        <div class="said note" role="status">
            {{ $print->money($page->missingToMinimum()) }} € are missing to what
            {{ $page->order->supplier->name }} asks for at least.
        </div>
    @endif
    @if ($page->order->state->isDraft() && Gate::allows('purchase'))
        @include('purchases.draft')
    @else
        @include('purchases.sent')
    @endif
    @include('purchases.parts')
    @if ($page->mails->isNotEmpty())
        <h2>Mail</h2>
        <table class="list">
            <tbody>
                @foreach ($page->mails as $mail)
                    <tr>
                        <td class="tight">{{ $print->when($mail->sent_at) }}</td>
                        <td><a href="{{ route('mails.show', $mail->id) }}">{{ $mail->subject }}</a></td>
                        <td class="cut">{{ $mail->to }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    <h2>Booked on it</h2>
    <x-bookings :rows="$page->bookings" />
    <x-reasons for="change" />
</x-layout>
