<x-layout :title="$form->title()">
    <x-form :method="$form->partner ? 'put' : 'post'" :to="$form->to()">
        @if ($form->partner)<input type="hidden" name="version" value="{{ $form->partner->version }}">@endif
        <div class="head">
            <h1>{{ $form->title() }}</h1>
            <span class="say">Orders that are there keep what was agreed on them.</span>
        </div>
        @unless ($form->partner)
            <div class="field"><x-field name="number" label="Number" size="12" maxlength="20" autofocus /></div>
        @endunless
        <div class="sheet">
            <fieldset>
                <legend>Who they are</legend>
                <x-asked :says="$form->help('name')">
                    <x-field name="name" label="Name" :value="$form->value('name')" size="34" maxlength="80" />
                </x-asked>
                <x-asked :says="$form->help('address')">
                    <x-field name="address" label="Address" :value="$form->value('address')" size="46"
                        maxlength="200" />
                </x-asked>
                <x-asked :says="$form->help('terms')">
                    <x-field name="terms" label="Terms of payment" :value="$form->value('terms')" size="34"
                        maxlength="120" />
                </x-asked>
                <x-asked :says="$form->help('note')">
                    <label for="f-note">To be known</label>
                    <textarea class="form-control" id="f-note" name="note" rows="2" cols="46"
                        maxlength="1000">{{ old('note', $form->value('note')) }}</textarea>
                    <x-why field="note" />
                </x-asked>
            </fieldset>
            <fieldset>
                <legend>How we deal with them</legend>
                @include($form->isCustomer() ? 'partners.customer-fields' : 'partners.supplier-fields')
            </fieldset>
            <fieldset class="whole">
                <legend>Whom to ask for</legend>
                @include('partners.contact-rows')
            </fieldset>
        </div>
        <div class="actions">
            <button class="btn btn-act">{{ $form->submitSays() }}</button>
            <a href="{{ $form->back() }}">Leave it</a>
        </div>
    </x-form>
</x-layout>
