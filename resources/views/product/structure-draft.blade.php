{{-- The lines of a draft, changed in the table. No component in the loop: there can be thousands. --}}
<x-form method="put" :to="route('structures.update', $structure->id)" key="lines">
    <input type="hidden" name="version" value="{{ $structure->version }}">
    <datalist id="components" hx-get="{{ route('items.choose') }}?q=" hx-trigger="load"></datalist>
    <div class="wide">
        <table class="list typed">
            <thead>
                <tr>
                    <th></th>
                    <th>Component</th>
                    <th class="n">Quantity</th>
                    <th>Unit</th>
                    <th>Per</th>
                    <th class="n">Scrap %</th>
                    <th class="n">Step</th>
                    <th>Issued by</th>
                    <th>From</th>
                    <th>Designators</th>
                    <th></th>
                </tr>
            </thead>
            <tbody data-grow data-paste="component,quantity,unit,scrap,step,designators" data-moved>
                @foreach ($form->rows as $at => $row)
                    <tr>
                        <td class="grip" draggable="true" data-grip title="Drag the line, or Alt and an arrow">⠿</td>
                        <td>
                            <input type="hidden" name="{{ $form->name($at, 'id') }}" value="{{ $row['id'] }}">
                            <input @class(['form-control', 'is-wrong' => $form->isWrong($at, 'component')])
                                name="{{ $form->name($at, 'component') }}" value="{{ $row['component'] }}" size="16"
                                list="components" autocomplete="off" aria-label="Component" maxlength="40">
                            <span class="sub">{{ $row['says'] }}</span>
                            <x-why :field="$form->key($at, 'component')" />
                        </td>
                        <td class="n">
                            <input @class(['form-control n ms-auto', 'is-wrong' => $form->isWrong($at, 'quantity')])
                                name="{{ $form->name($at, 'quantity') }}" value="{{ $row['quantity'] }}"
                                inputmode="decimal" autocomplete="off" aria-label="Quantity">
                            <x-why :field="$form->key($at, 'quantity')" />
                        </td>
                        <td>
                            <input @class(['form-control', 'is-wrong' => $form->isWrong($at, 'unit')])
                                name="{{ $form->name($at, 'unit') }}" value="{{ $row['unit'] }}" size="5" maxlength="12"
                                placeholder="stock" autocomplete="off" aria-label="Unit">
                            <x-why :field="$form->key($at, 'unit')" />
                        </td>
                        <td>
                            <select class="form-select" name="{{ $form->name($at, 'basis') }}" aria-label="Per">
                                @foreach ($form->choices['basis'] as $value => $says)
                                    <option value="{{ $value }}"
                                        @selected($row['basis'] === $value)>{{ $says }}</option>
                                @endforeach
                            </select>
                        </td>
                        <td class="n">
                            <input @class(['form-control n few ms-auto', 'is-wrong' => $form->isWrong($at, 'scrap')])
                                name="{{ $form->name($at, 'scrap') }}" value="{{ $row['scrap'] }}" inputmode="decimal"
                                autocomplete="off" aria-label="Scrap, %">
                            <x-why :field="$form->key($at, 'scrap')" />
                        </td>
                        <td class="n">
                            <input @class(['form-control n few ms-auto', 'is-wrong' => $form->isWrong($at, 'step')])
                                name="{{ $form->name($at, 'step') }}" value="{{ $row['step'] }}" inputmode="numeric"
                                placeholder="first" autocomplete="off" aria-label="Step">
                            <x-why :field="$form->key($at, 'step')" />
                        </td>
                        <td>
                            <select class="form-select" name="{{ $form->name($at, 'issue_by') }}"
                                aria-label="Issued by">
                                @foreach ($form->choices['issue_by'] as $value => $says)
                                    <option value="{{ $value }}"
                                        @selected($row['issue_by'] === $value)>{{ $says }}</option>
                                @endforeach
                            </select>
                        </td>
                        <td>
                            <select class="form-select" name="{{ $form->name($at, 'supplied_by') }}" aria-label="From">
                                @foreach ($form->choices['supplied_by'] as $value => $says)
                                    <option value="{{ $value }}"
                                        @selected($row['supplied_by'] === $value)>{{ $says }}</option>
                                @endforeach
                            </select>
                        </td>
                        <td>
                            <input @class(['form-control', 'is-wrong' => $form->isWrong($at, 'designators')])
                                name="{{ $form->name($at, 'designators') }}" value="{{ $row['designators'] }}" size="10"
                                maxlength="200" autocomplete="off" aria-label="Designators">
                            <x-why :field="$form->key($at, 'designators')" />
                        </td>
                        <td class="tight">
                            <button type="button" class="btn btn-quiet btn-small" data-up
                                aria-label="Move up">↑</button>
                            <button type="button" class="btn btn-quiet btn-small" data-down
                                aria-label="Move down">↓</button>
                            <button type="button" class="btn btn-quiet btn-small" data-out
                                aria-label="Take the line out">out</button>
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </div>
    <x-glossary :terms="$form->help" />
    @include('product.structure-back-draft')
    <div class="actions">
        <x-field name="note" label="Why there is this revision" :value="$structure->note" size="40" maxlength="200" />
        <button class="btn btn-act align-self-end">Keep the draft</button>
        <span class="sub align-self-end">
            Lines can be pasted from a spreadsheet: component, quantity, unit, scrap, step, designators.
        </span>
    </div>
</x-form>
