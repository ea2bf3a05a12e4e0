{{-- For whom a line is bought: what comes is kept for them. --}}
@foreach ($page->for[$line->id] ?? [] as $for)
    <div class="sub">
        {{ $print->amount($for->quantity) }} {{ $line->unit }} for <a href="{{ $for->address }}">{{ $for->says }}</a>
    </div>
@endforeach
