{{-- Fields of a slip's line that are seldom needed. --}}
<span class="d-flex gap-2 flex-wrap">
    <input class="form-control" name="lines[{{ $line->id }}][reason]"
        value="{{ old("lines.{$line->id}.reason", $line->reason) }}" placeholder="why"
        aria-label="Reason for {{ $line->item }}, {{ $line->order }}" size="14" maxlength="200">
    <x-why :field="'lines.'.$line->id.'.reason'" />
    <input class="form-control" name="lines[{{ $line->id }}][item]" value="{{ old("lines.{$line->id}.item") }}"
        placeholder="another item instead" aria-label="Another item instead of {{ $line->item }}" size="12"
        maxlength="40" autocomplete="off">
    <x-why :field="'lines.'.$line->id.'.item'" />
    <button class="btn btn-quiet btn-small" name="lines[{{ $line->id }}][out]" value="1">Take out</button>
</span>
