{{-- What comes back, in a block of its own: nobody takes it for what is used. --}}
<h2>Comes back</h2>
<div class="wide">
    <table class="list typed back">
        <thead>
            <tr>
                <th>Item</th>
                <th>As</th>
                <th class="n">Quantity</th>
                <th>Unit</th>
                <th>Per</th>
                <th>Carries cost</th>
                <th class="n">Value or %</th>
                <th></th>
            </tr>
        </thead>
        <tbody data-grow>
            @foreach ($backForm->rows as $at => $row)
                <tr>
                    <td>
                        <input type="hidden" name="{{ $backForm->name($at, 'id') }}" value="{{ $row['id'] }}">
                        <input @class(['form-control', 'is-wrong' => $backForm->isWrong($at, 'component')])
                            name="{{ $backForm->name($at, 'component') }}" value="{{ $row['component'] }}" size="16"
                            list="components" autocomplete="off" aria-label="Item that comes back" maxlength="40">
                        <span class="sub">{{ $row['says'] }}</span>
                        <x-why :field="$backForm->key($at, 'component')" />
                    </td>
                    <td>
                        <select class="form-select" name="{{ $backForm->name($at, 'gives') }}" aria-label="As">
                            @foreach ($backForm->choices['gives'] as $value => $says)
                                <option value="{{ $value }}" @selected($row['gives'] === $value)>{{ $says }}</option>
                            @endforeach
                        </select>
                        <x-why :field="$backForm->key($at, 'gives')" />
                    </td>
                    <td class="n">
                        <input @class(['form-control n ms-auto', 'is-wrong' => $backForm->isWrong($at, 'quantity')])
                            name="{{ $backForm->name($at, 'quantity') }}" value="{{ $row['quantity'] }}"
                            inputmode="decimal" autocomplete="off" aria-label="Quantity that comes back">
                        <x-why :field="$backForm->key($at, 'quantity')" />
                    </td>
                    <td>
                        <input @class(['form-control', 'is-wrong' => $backForm->isWrong($at, 'unit')])
                            name="{{ $backForm->name($at, 'unit') }}" value="{{ $row['unit'] }}" size="5"
                            maxlength="12" placeholder="stock" autocomplete="off" aria-label="Its unit">
                        <x-why :field="$backForm->key($at, 'unit')" />
                    </td>
                    <td>
                        <select class="form-select" name="{{ $backForm->name($at, 'basis') }}" aria-label="Comes per">
                            @foreach ($backForm->choices['basis'] as $value => $says)
                                <option value="{{ $value }}" @selected($row['basis'] === $value)>{{ $says }}</option>
                            @endforeach
                        </select>
                    </td>
                    <td>
                        <select class="form-select" name="{{ $backForm->name($at, 'share_rule') }}"
                            aria-label="Carries cost">
                            @foreach ($backForm->choices['share_rule'] as $value => $says)
                                <option value="{{ $value }}"
                                    @selected($row['share_rule'] === $value)>{{ $says }}</option>
                            @endforeach
                        </select>
                        <x-why :field="$backForm->key($at, 'share_rule')" />
                    </td>
                    <td class="n">
                        <input @class(['form-control n ms-auto', 'is-wrong' => $backForm->isWrong($at, 'share')])
                            name="{{ $backForm->name($at, 'share') }}" value="{{ $row['share'] }}" inputmode="decimal"
                            autocomplete="off" placeholder="its cost" aria-label="Value or %">
                        <x-why :field="$backForm->key($at, 'share')" />
                    </td>
                    <td class="tight">
                        <button type="button" class="btn btn-quiet btn-small" data-out
                            aria-label="Take the line out">out</button>
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
<x-glossary :terms="$backForm->help" />
