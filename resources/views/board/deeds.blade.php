{{-- What can be done with all of a plan. --}}
<x-form :to="route('board.undo')" id="board-undo">
    <input type="hidden" name="plan" value="{{ $board->planId() }}">
    <button class="btn btn-quiet btn-small" @disabled($news->undo === null)
        title="{{ $news->undo ?? 'Nothing to undo' }}">{{ $news->undoSays() }}</button>
</x-form>
<x-form :to="route('board.redo')" id="board-redo">
    <input type="hidden" name="plan" value="{{ $board->planId() }}">
    <button class="btn btn-quiet btn-small" @disabled($news->redo === null)
        title="{{ $news->redo ?? 'Nothing to do again' }}">{{ $news->redoSays() }}</button>
</x-form>
@if ($board->isLive())
    <a class="btn btn-quiet btn-small" href="{{ route('plans.index') }}">Search a better plan, what-ifs</a>
    <a class="btn btn-quiet btn-small" href="{{ route('absence.index') }}">Machine down, person away</a>
    <x-form :to="route('board.by-rank')">
        <button class="btn btn-quiet btn-small" title="Gives up the sequence of every machine">
            Load anew by rank
        </button>
    </x-form>
@endif
