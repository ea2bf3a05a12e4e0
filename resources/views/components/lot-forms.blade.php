<x-more :summary="$row->says()" :open="$isOpen">
    @can('goods-in')
        <x-form class="actions align-items-start" :key="'count-'.$row->id" :to="route('stock.count', $row->id)">
            <x-field bare name="quantity" :label="'Counted at '.$row->where()" class="n" placeholder="counted"
                inputmode="decimal" />
            <x-field bare name="reason" label="Why it differs" placeholder="why it differs" maxlength="200" />
            <button class="btn btn-quiet btn-small">Book the count</button>
        </x-form>
    @endcan
    @if ($row->lotId)
        @can('goods-in')
            <x-form class="actions align-items-start" :key="'paper-'.$row->lotId" enctype="multipart/form-data"
                :to="route('lots.files', $row->lotId)">
                <input type="hidden" name="kind" value="certificate">
                <input class="form-control paper" type="file" name="file" aria-label="Certificate of {{ $row->lot }}">
                <x-why field="file" />
                <button class="btn btn-quiet btn-small">Hang the certificate on the lot</button>
            </x-form>
        @endcan
    @endif
    @can('issue')
        <x-form class="actions align-items-start" :key="'condition-'.$row->id" :to="route('stock.condition', $row->id)">
            <x-field bare name="quantity" :label="'How much at '.$row->where()" class="n"
                :value="$print->amount($row->quantity)" inputmode="decimal" />
            <x-choice bare name="to" label="Condition" :options="$conditions" />
            <x-field bare name="reason" label="Why" placeholder="why" size="12" maxlength="200" />
            <button class="btn btn-quiet btn-small">Set the condition</button>
        </x-form>
        <x-form class="actions align-items-start" :key="'scrap-'.$row->id" :to="route('stock.scrap', $row->id)">
            <x-field bare name="quantity" :label="'Scrap at '.$row->where()" class="n" placeholder="scrap"
                inputmode="decimal" />
            <x-choice bare name="class" label="Class of scrap" :options="$classes" />
            <x-field bare name="reason" list="reasons-scrap" label="Why it is scrap" placeholder="why" size="12"
                maxlength="200" />
            <button class="btn btn-quiet btn-small">Scrap it</button>
        </x-form>
        @if ($isLot)
            <x-form class="actions align-items-start" :key="'lot-'.$row->lotId"
                :to="route('stock.expiry', $row->lotId)">
                <x-day bare name="expires_on" label="Good until" :value="$row->expiresOn ?? ''" />
                <x-field bare name="reason" label="What the date rests on" placeholder="re-test, certificate" size="14"
                    maxlength="200" />
                <button class="btn btn-quiet btn-small">Date the lot</button>
            </x-form>
        @endif
    @endcan
</x-more>
