{{-- One unit, its parts with share and grade, the work on it: one booking. --}}
<x-form :to="route('apart.store')" key="apart">
    <div class="filters">
        <x-choice name="unit" label="Which" :options="$page->choices()" />
        <x-field name="minutes" label="Minutes of work" class="n" inputmode="numeric" />
        <x-choice name="work_centre_id" label="At the rates of" :options="$workCentres" />
        <x-choice name="place_id" label="Parts go to" :options="$places" />
    </div>
    <table class="list typed back">
        <thead>
            <tr>
                <th>Part</th>
                <th class="n">Comes out</th>
                <th class="n">Share %</th>
                <th>It is</th>
                <th>Lot or serials</th>
                <th></th>
            </tr>
        </thead>
        <tbody data-grow>
            @foreach ($form->rows as $at => $row)
                <tr>
                    <td>
                        <input @class(['form-control d-inline-block w-auto', 'is-wrong' => $form->isWrong($at, 'item')])
                            name="{{ $form->name($at, 'item') }}" value="{{ $row['item'] }}" size="14" list="items"
                            autocomplete="off" aria-label="Part" maxlength="40">
                        <span class="sub">{{ $row['says'] }}</span>
                        <x-why :field="$form->key($at, 'item')" />
                    </td>
                    <td class="n">
                        <input @class(['form-control n ms-auto', 'is-wrong' => $form->isWrong($at, 'quantity')])
                            name="{{ $form->name($at, 'quantity') }}" value="{{ $row['quantity'] }}"
                            inputmode="decimal" autocomplete="off" aria-label="Comes out">
                        <x-why :field="$form->key($at, 'quantity')" />
                    </td>
                    <td class="n">
                        <input @class(['form-control n ms-auto', 'is-wrong' => $form->isWrong($at, 'percent')])
                            name="{{ $form->name($at, 'percent') }}" value="{{ $row['percent'] }}" inputmode="decimal"
                            autocomplete="off" aria-label="Share, %">
                        <x-why :field="$form->key($at, 'percent')" />
                    </td>
                    <td>
                        <select class="form-select" name="{{ $form->name($at, 'grade') }}" aria-label="It is">
                            @foreach ($form->choices['grade'] as $value => $says)
                                <option value="{{ $value }}" @selected($row['grade'] === $value)>{{ $says }}</option>
                            @endforeach
                        </select>
                        <x-why :field="$form->key($at, 'grade')" />
                    </td>
                    <td>
                        <textarea @class(['form-control', 'is-wrong' => $form->isWrong($at, 'codes')])
                            name="{{ $form->name($at, 'codes') }}" rows="1" cols="18" aria-label="Lot or serials"
                            placeholder="{{ $row['hint'] }}"
                            >{{ $row['codes'] }}</textarea>
                        <x-why :field="$form->key($at, 'codes')" />
                    </td>
                    <td class="tight">
                        <button type="button" class="btn btn-quiet btn-small" data-out
                            aria-label="Take the line out">out</button>
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <x-why field="shares" />
    <div class="actions">
        <button class="btn btn-act">Book it as taken apart</button>
        <span class="sub">Shares are 100 together. A part that is scrap takes its share along.</span>
    </div>
</x-form>
