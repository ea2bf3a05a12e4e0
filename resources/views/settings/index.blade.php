<x-layout title="Settings">
    <div class="head">
        <h1>Settings</h1>
        <span class="say">What the shop goes by. The plan follows; what is booked stays as it was.</span>
    </div>
    <x-form method="put" :to="route('settings.update')" key="settings">
        <input type="hidden" name="version" value="{{ $page->version }}">
        <div class="sheet">
            @foreach ($page->groups() as $group => $settings)
                <fieldset>
                    <legend>{{ $group }}</legend>
                    @foreach ($settings as $setting)
                        <x-setting :setting="$setting" :value="$page->value($setting)" />
                    @endforeach
                </fieldset>
            @endforeach
        </div>
        @can('set-up')<div class="actions"><button class="btn btn-act">Set these</button></div>@endcan
    </x-form>
    <div class="halves">
        <section>
            <h2>Numbers given next</h2>
            <x-form method="put" :to="route('settings.numberings')" key="numberings">
                <table class="list typed level">
                    <thead><tr><th>Of a new</th><th>Begins with</th><th class="n">Number</th></tr></thead>
                    <tbody>
                        @foreach ($page->numbered() as $what)
                            <tr>
                                <td>{{ $what->label() }}</td>
                                <td>
                                    <x-field bare :name="'prefix_'.$what->value" :label="'Beginning of '.$what->label()"
                                        :value="$page->prefix($what)" size="8" maxlength="10" />
                                </td>
                                <td class="n">
                                    <x-field bare :name="'next_'.$what->value" :label="'Next '.$what->label()"
                                        class="n" :value="$page->next($what)" inputmode="numeric" />
                                </td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
                @can('set-up')
                    <div class="actions">
                        <button class="btn btn-quiet">Number so from now on</button>
                        <span class="sub">What has a number keeps it.</span>
                    </div>
                @endcan
            </x-form>
        </section>
        <section>
            <h2>Reasons offered, one a line</h2>
            <x-form method="put" :to="route('settings.reasons')" key="reasons">
                @foreach ($page->reasonKinds() as $kind)
                    <div class="field">
                        <label for="f-{{ $kind->value }}">For {{ $kind->label() }}</label>
                        <textarea class="form-control" id="f-{{ $kind->value }}" name="{{ $kind->value }}" rows="6"
                            cols="30">{{ old($kind->value, implode("\n", $page->reasons($kind))) }}</textarea>
                        <x-why :field="$kind->value" />
                    </div>
                @endforeach
                @can('set-up')
                    <div class="actions">
                        <button class="btn btn-quiet">Offer these</button>
                        <span class="sub">Another can be typed all the same.</span>
                    </div>
                @endcan
            </x-form>
        </section>
    </div>
    <x-changes :rows="$page->changes" />
</x-layout>
