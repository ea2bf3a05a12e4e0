@props(['job', 'drawings', 'clock' => null, 'first' => false])
{{-- One job at a station: what it is, and what can be done with it in two touches. --}}
<article @class(['job', 'now' => $job->isRunning()]) id="s{{ $job->id }}">
    <div class="d-flex gap-3 align-items-baseline flex-wrap">
        <h2><a href="{{ route('orders.show', $job->orderId) }}">{{ $job->order }}</a> · {{ $job->step() }}</h2>
        <span>{{ $job->item }} <span class="sub text-nowrap">{{ $job->itemNumber }}</span></span>
        @if ($job->isRunning())
            <span class="tag running">running since {{ $print->when($job->runningSince) }}, {{ $job->worker }}</span>
        @endif
        @if ($job->partsOpen > 0)
            <a class="soon" href="{{ route('issue.index', ['orders' => [$job->orderId]]) }}">{{ $job->partsSay() }}</a>
        @endif
        <span class="ms-auto">
            planned {{ $print->when($job->planned) }} · <x-late :minutes="$job->lateMinutes" />
        </span>
    </div>
    @if ($drawings->isNotEmpty())
        <p class="mb-1 d-flex flex-wrap gap-3 align-items-end">
            @foreach ($drawings as $drawing)
                @if ($drawing->isThumb())
                    <a href="{{ route('files.show', $drawing->id) }}"><img class="thumb" alt="{{ $drawing->name }}"
                        src="{{ route('files.show', $drawing->id) }}" loading="lazy" width="{{ $drawing->width }}"
                        height="{{ $drawing->height }}"></a>
                @else
                    <a href="{{ route('files.show', $drawing->id) }}">{{ $drawing->name }}</a>
                @endif
            @endforeach
        </p>
    @endif
    @if ($job->tools !== '')<p class="mb-1">Tools: {{ $job->tools }}</p>@endif
    @if ($job->instructions !== '')
        <p class="sub mb-1">{{ $job->instructions }}</p>
    @endif
    @can('report')
        <x-station-count :job="$job" :clock="$clock" :first="$first" />
    @endcan
</article>
