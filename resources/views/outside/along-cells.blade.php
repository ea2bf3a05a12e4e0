{{-- How much of something goes along, and from where it is taken. --}}
<td>
    <x-field bare :name="$one->field('quantity')" :field="$one->key('quantity')" size="7"
        :label="'How much of '.$one->itemNumber.' goes '.$one->goesSays()" class="n few" :value="$value"
        inputmode="decimal" />
</td>
<td>
    <x-choice bare :name="$one->field('balance')" :field="$one->key('balance')"
        :label="'From where '.$one->itemNumber.' goes '.$one->goesSays()"
        :options="$ready->lying[$one->itemId] ?? ['' => 'none lies in stores']" />
</td>
