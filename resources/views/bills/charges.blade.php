{{-- Freight, duty and the like: spread over goods when the bill is accepted. --}}
<div class="wide mt-3">
    <table class="list typed level">
        <thead>
            <tr>
                <th>Charged beside</th>
                <th class="n">€</th>
                <th>Spread</th>
                <th>Over</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($sheet->charges() as $i)
                <tr @class(['wrong' => $errors->has("charges.{$i}")])>
                    <td>
                        <x-field bare :name="'charges['.$i.'][says]'" :field="'charges.'.$i.'.says'" size="20"
                            maxlength="200" :placeholder="$i === 0 ? 'freight, duty' : ''" label="What is charged" />
                        <x-why :field="'charges.'.$i" />
                    </td>
                    <td class="n">
                        <x-field bare :name="'charges['.$i.'][amount]'" :field="'charges.'.$i.'.amount'" class="n"
                            inputmode="decimal" label="How much is charged" />
                    </td>
                    <td>
                        <x-choice bare :name="'charges['.$i.'][spread]'" :field="'charges.'.$i.'.spread'"
                            :options="$print->spreads()" label="Spread" />
                    </td>
                    <td>
                        <x-choice bare :name="'charges['.$i.'][receipt]'" :field="'charges.'.$i.'.receipt'"
                            :options="$sheet->deliveries" label="Over which goods" />
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
