@if ($offers === [])
    <p class="none">Nothing was found to try: it is not in the plan.</p>
@else
    <p>
        A search alone, without any lever, would finish it <b>{{ $print->exact($alone) }}</b>. Each lever is compared
        with that.
    </p>
    <table class="list">
        <thead>
            <tr>
                <th>Lever</th>
                <th>Its finish</th>
                <th class="n">All lateness</th>
                <th></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($offers as $offer)
                <tr>
                    <td>
                        {{ $offer->says }}
                        @can('see-money')<div class="sub">{{ $offer->costs }}</div>@endcan
                    </td>
                    <td class="tight">
                        {{ $print->exact($offer->finishWith) }}
                        <div class="sub"><span class="{{ $offer->tone() }}">{{ $offer->gainSays() }}</span></div>
                    </td>
                    <td class="n">{{ $offer->latenessSays() }}</td>
                    <td class="tight">
                        @if ($offer->deed && Gate::allows($offer->deed->right))
                            <x-form class="mb-1" :method="$offer->deed->method" :to="$offer->deed->address()">
                                @foreach ($offer->deed->fields as $field => $value)
                                    <input type="hidden" name="{{ $field }}" value="{{ $value }}">
                                @endforeach
                                <button class="btn btn-act btn-small">{{ $offer->deed->label }}</button>
                            </x-form>
                        @endif
                        @can('plan')
                            <x-form class="mb-0" :to="route('late.try', $order)">
                                <input type="hidden" name="says" value="{{ $offer->says }}">
                                <button class="btn btn-quiet btn-small">Try it as a what-if</button>
                            </x-form>
                        @endcan
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <p class="sub">
        Each was tried with the same search on the shop as it is now. Times are elapsed for its finish, open hours for
        all lateness.
    </p>
@endif
