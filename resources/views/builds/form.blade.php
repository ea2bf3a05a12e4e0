{{-- The parts list is the form: what is built, with its parts and what comes back, goes in one booking. --}}
<x-form :method="$form->method()" :to="$form->to()" key="build" id="build">
    <input type="hidden" name="item" value="{{ $page->item->number }}">
    @if ($page->order)
        <input type="hidden" name="asked" value="{{ $print->amount($page->asked) }}">
    @endif
    <div class="filters">
        @unless ($page->order)
            <x-field name="asked" label="Asked for" class="n" :value="$print->amount($page->asked)"
                inputmode="decimal" />
        @endunless
        <x-field name="built" label="Built now" class="n" :value="$print->amount($page->now)" inputmode="decimal"
            autofocus hx-get="{{ $form->here() }}" hx-trigger="input changed delay:250ms" hx-include="#build"
            hx-target="#parts" hx-select="#parts" hx-swap="outerHTML" />
        <x-choice name="place_id" label="To" :options="$places" />
        @if ($page->item->isTracked())
            <x-field name="codes" label="Lot or serials" size="16" maxlength="20000" placeholder="by its rule" />
        @endif
        @unless ($page->order)
            <x-field name="reference" label="Your reference" size="16" maxlength="60" />
        @endunless
        @can('build')
            <button class="btn btn-act align-self-end">Book what is built</button>
            @if ($page->customer !== null)
                @can('ship')
                    <button class="btn btn-quiet align-self-end"
                        formaction="{{ route('builds.ship', $page->order->id) }}">
                        Book and ship to {{ $page->customer }}
                    </button>
                @endcan
            @endif
        @endcan
        <span class="sub align-self-end">
            {{ $print->amount($page->buildable) }} of {{ $print->amount($page->left()) }} can be built of what is there.
            @unless ($page->order) 0 built: it is asked for only. @endunless
        </span>
    </div>
    <div id="parts">
        <h2>Parts for {{ $print->amount($page->now) }}</h2>
        @include('builds.parts')
        @if ($page->back !== [])
            <h2>Comes back</h2>
            @include('builds.back')
        @endif
        @if ($page->steps->isNotEmpty())
            <h2>Time</h2>
            <div class="actions">
                @foreach ($page->steps as $step)
                    <x-field :name="$form->name('minutes', $step->number)" :field="$form->key('minutes', $step->number)"
                        :label="'min, step '.$step->number.' '.$step->name" class="n" inputmode="numeric"
                        :value="$form->value($form->key('minutes', $step->number))"
                        :placeholder="$step->isClocked ? 'by the clock' : $page->minutes($step)" />
                @endforeach
            </div>
        @endif
        @if ($page->isShort())
            <label class="actions">
                <input type="checkbox" name="was_used" value="1" @checked($form->isTicked('was_used'))>
                What is missing was built in all the same: ask where it came from
            </label>
        @endif
    </div>
    <div class="actions">
        <x-field name="reason" label="Why more is used than planned" size="36" maxlength="200" />
    </div>
</x-form>
