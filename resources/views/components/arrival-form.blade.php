<form class="actions align-items-start mb-0" method="post" action="{{ $question->to() }}">
    @csrf @method('put') @token($in->form)
    <x-day bare worked :in="$in" name="expected_on" :label="'Day for: '.$question->says" />
    <button class="btn btn-act btn-small" name="answer" value="day">Comes on that day</button>
    <button class="btn btn-quiet btn-small" name="answer" value="again">Not known, ask again then</button>
    @if ($question->canComeNoMore())
        <x-field bare :in="$in" name="reason" label="Why it comes no more" placeholder="why no more" size="11"
            maxlength="200" />
        <button class="btn btn-quiet btn-small" name="answer" value="never">Comes no more</button>
    @endif
</form>
