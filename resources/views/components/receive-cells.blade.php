<td class="n">
    <x-form :id="$form" :key="$order->form()" :to="route('receive.store', $order->id)" />
    <x-field bare :in="$in" :form="$form" name="quantity" :label="'Quantity from '.$order->number" class="n ms-auto"
        :value="$print->amount($order->ready)" inputmode="decimal" />
</td>
<td>
    <x-choice bare :in="$in" :form="$form" name="place_id" label="To" :options="$places" :value="$place" />
</td>
<td>
    @if ($order->takesCodes())
        <textarea @class(['form-control', 'is-wrong' => $why]) form="{{ $form }}" name="codes" rows="1" cols="18"
            aria-label="{{ $order->codesLabel() }}"
            placeholder="{{ $order->codesHint() }}">{{ $in->value('codes') }}</textarea>
        @if ($why)
            <div class="why">{{ $why }}</div>
        @endif
    @endif
</td>
<td class="tight">
    <button class="btn btn-act btn-small" form="{{ $form }}">Receive</button>
    @if ($order->isWaitedFor())
        @can('issue')
            <button class="btn btn-quiet btn-small" form="{{ $form }}"
                formaction="{{ route('receive.issue', $order->id) }}"
                title="Taken in and issued to those that wait, in one booking">On to
                {{ $order->waitsSays() }}</button>
        @endcan
    @endif
    @if ($order->isPutTogether)
        @can('build')
            <a class="btn btn-quiet btn-small" href="{{ route('builds.show', $order->id) }}">With its parts</a>
        @endcan
    @endif
    @if ($order->canGoOn())
        @can('ship')
            <button class="btn btn-quiet btn-small" form="{{ $form }}"
                formaction="{{ route('receive.ship', $order->id) }}">Receive and ship</button>
        @endcan
    @endif
</td>
