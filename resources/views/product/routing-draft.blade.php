{{-- The steps of a draft, changed in the table; what is seldom needed opens below each. --}}
<x-form method="put" :to="route('routings.update', $routing->id)" key="steps">
    <input type="hidden" name="version" value="{{ $routing->version }}">
    <div class="wide">
        <table class="list typed">
            <thead>
                <tr>
                    <th class="n">Step</th>
                    <th>Name</th>
                    <th>At</th>
                    <th class="n">Setup, min</th>
                    <th class="n">Run</th>
                    <th></th>
                    <th class="n">Batch of</th>
                    <th class="n">Crew</th>
                    <th class="n">Wait, min</th>
                    <th class="n">Move, min</th>
                    <th></th>
                </tr>
            </thead>
            <tbody data-grow data-paste="number,name">
                @foreach ($form->rows as $at => $row)
                    <tr>
                        <td class="n">
                            <input type="hidden" name="{{ $form->name($at, 'id') }}" value="{{ $row['id'] }}">
                            <x-cell class="n few ms-auto" :form="$form" :at="$at" field="number" label="Step"
                                inputmode="numeric" />
                        </td>
                        <td><x-cell :form="$form" :at="$at" field="name" label="Name" size="18" maxlength="60" /></td>
                        <td>
                            <select @class(['form-select', 'is-wrong' => $form->isWrong($at, 'at')])
                                name="{{ $form->name($at, 'at') }}" aria-label="At">
                                <option value="">choose</option>
                                @foreach ($form->choices['at'] as $group => $options)
                                    <optgroup label="{{ $group }}">
                                        @foreach ($options as $value => $says)
                                            <option value="{{ $value }}"
                                                @selected($row['at'] === $value)>{{ $says }}</option>
                                        @endforeach
                                    </optgroup>
                                @endforeach
                            </select>
                            <x-why :field="$form->key($at, 'at')" />
                        </td>
                        @foreach (['setup' => 'Setup, minutes', 'rate' => 'Run'] as $field => $says)
                            <td class="n">
                                <x-cell class="n few ms-auto" :form="$form" :at="$at" :field="$field" :label="$says"
                                    inputmode="decimal" />
                            </td>
                        @endforeach
                        <td>
                            <select class="form-select" name="{{ $form->name($at, 'basis') }}"
                                aria-label="Run is given in">
                                @foreach ($form->choices['basis'] as $value => $says)
                                    <option value="{{ $value }}"
                                        @selected($row['basis'] === $value)>{{ $says }}</option>
                                @endforeach
                            </select>
                        </td>
                        @foreach ($form->choices['figures'] as $field => $says)
                            <td class="n">
                                <x-cell class="n few ms-auto" :form="$form" :at="$at" :field="$field" :label="$says"
                                    inputmode="decimal" />
                            </td>
                        @endforeach
                        <td class="tight">
                            <details @class(['more over', 'wrong' => $form->isMoreWrong($at)])
                                @if ($form->isMoreWrong($at)) open @endif>
                                <summary>more <span class="sub">{{ $form->more($at) }}</span></summary>
                                <div class="line-more">
                                    @foreach ($form->choices['more'] as $field => $says)
                                        <label>
                                            {{ $says }}
                                            <input @class(['form-control', 'is-wrong' => $form->isWrong($at, $field)])
                                                name="{{ $form->name($at, $field) }}" value="{{ $row[$field] }}"
                                                autocomplete="off">
                                        </label>
                                        <x-why :field="$form->key($at, $field)" />
                                    @endforeach
                                    <button type="button" class="btn btn-quiet btn-small" data-out>Take it out</button>
                                </div>
                            </details>
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </div>
    <x-glossary :terms="$form->help" />
    <div class="actions">
        <x-field name="note" label="Why there is this revision" :value="$routing->note" size="40" maxlength="200" />
        <button class="btn btn-act align-self-end">Keep the draft</button>
        <span class="sub align-self-end">Steps are done by their numbers.</span>
    </div>
</x-form>
