<td>
    <x-form :id="$form" :key="$job->form()" :to="route('outside.store', $job->id)" />
    <x-field bare :in="$in" :form="$form" name="good" :label="'Good of '.$job->order" class="n"
        :value="$print->amount($job->toDo())" inputmode="decimal" />
</td>
<td>
    <div class="d-flex gap-2">
        <x-field bare :in="$in" :form="$form" name="scrap" :label="'Scrap of '.$job->order" class="n" value="0"
            inputmode="decimal" />
        <x-field bare :in="$in" :form="$form" name="reason" list="reasons-scrap"
            :label="'Why scrap of '.$job->order" placeholder="why scrap"
            size="10" maxlength="200" />
    </div>
</td>
<td>
    @if ($job->next)
        <x-field bare :in="$in" :form="$form" name="pass_on" :label="'Pass on of '.$job->order" class="n"
            :value="$print->amount($job->toDo())" inputmode="decimal" />
    @endif
</td>
<td><button class="btn btn-act btn-small" form="{{ $form }}">{{ $button }}</button></td>
