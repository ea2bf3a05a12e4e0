<x-layout :title="$mail->subject">
    <div class="head">
        <h1>{{ $mail->subject }}</h1>
        <span class="say">
            to {{ $mail->to }} of {{ $mail->order->supplier->name }}, {{ $print->exact($mail->sent_at) }}
        </span>
        <span class="ms-auto"></span>
        <a href="{{ route('mails.paper', $mail->id) }}">The paper in it</a>
        <a href="{{ route('purchases.show', $mail->purchase_order_id) }}">Purchase {{ $mail->order->number }}</a>
    </div>
    <p class="sub">
        No mail leaves this house from here: what is sent is kept, to be looked at. What is answered is typed on
        <a href="{{ route('purchases.show', $mail->purchase_order_id) }}">the purchase's page</a>.
    </p>
    @can('see-money')
        <pre class="letter">{{ $mail->body }}</pre>
    @else
        <div class="none">Its words tell prices; the paper in it is without.</div>
    @endcan
    @if ($turns !== [])
        <h2>What {{ $mail->order->supplier->name }} does</h2>
        @include('stand-in.turns', ['turns' => $turns, 'id' => $mail->purchase_order_id])
    @endif
</x-layout>
