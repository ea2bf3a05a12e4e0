@if (count($first) === 1)
    <span>{{ $first[0] }}</span>
@else
    <div>
        <strong>Not done, and nothing was booked:</strong>
        <ul>
            @foreach ($first as $message)
                <li>{{ $message }}</li>
            @endforeach
            @if ($more > 0)
                <li>and {{ $more }} more</li>
            @endif
        </ul>
    </div>
@endif
