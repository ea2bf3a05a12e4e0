{{-- What can be done with all of a slip. --}}
<div class="actions slip-do">
    <x-field bare name="scan" label="Scan a lot" placeholder="scan a lot" size="12" maxlength="80" data-scan />
    <button class="btn btn-act" name="do" value="book">Book these components</button>
    <button class="btn btn-quiet" name="do" value="keep">Keep as a draft</button>
    <label class="d-inline">
        <input type="checkbox" name="over_plan" value="1" @checked(old('over_plan'))> more than planned is meant
    </label>
    <x-field bare name="reason" label="Reason" placeholder="reason, where more is used" size="24" maxlength="200" />
    <span class="d-inline-flex gap-1 align-items-center" title="The day it counts for; empty = today">
        booked on
        <x-day bare name="booked_on" label="Booked on" :value="$slip->booked_on" placeholder="today" />
    </span>
    <x-field bare name="note" label="Note on the slip" placeholder="note on the slip" size="16" maxlength="200"
        :value="$slip->note" />
</div>
