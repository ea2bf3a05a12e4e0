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
                    <td>{{ $offer->says }}</td>
                    <td class="tight">
                        {{ $print->exact($offer->finishWith) }}
                        <div class="sub"><span class="{{ $offer->tone() }}">{{ $offer->gainSays() }}</span></div>
                    </td>
                    <td class="n">{{ $offer->latenessSays() }}</td>
                    <td class="tight">
                        @can('plan')
                            <x-form :to="route('late.try', $order)">
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
