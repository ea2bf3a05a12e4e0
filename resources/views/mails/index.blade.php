<x-layout title="Mail out">
    <div class="head">
        <h1>Mail out</h1>
        <span class="say">{{ $print->count($mails->count, 'mail', 'mails', 'No mail') }} went to suppliers.</span>
        <span class="ms-auto"></span>
        @if ($isDemo)
            <a href="{{ route('mails.suppliers') }}">The suppliers of the demo</a>
        @endif
        <a href="{{ route('purchases.index') }}">Purchases</a>
    </div>
    @if ($mails->rows->isEmpty())
        <div class="none">Nothing was sent by mail.</div>
    @else
        <table class="list">
            <thead>
                <tr><th>Sent</th><th>What</th><th>To</th><th>Supplier</th><th>Order</th><th>By</th></tr>
            </thead>
            <tbody>
                @foreach ($mails->rows as $mail)
                    <tr>
                        <td class="tight">{{ $print->when($mail->sentAt) }}</td>
                        <td><a href="{{ route('mails.show', $mail->id) }}">{{ $mail->subject }}</a></td>
                        <td class="cut">{{ $mail->to }}</td>
                        <td class="cut">{{ $mail->supplier }}</td>
                        <td class="tight">
                            <a class="num" href="{{ route('purchases.show', $mail->orderId) }}">{{ $mail->order }}</a>
                        </td>
                        <td class="cut">{{ $mail->person }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <x-cut :of="$mails" />
    @endif
</x-layout>
