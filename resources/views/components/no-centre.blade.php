{{-- Where work centres are chosen from, before there is one. --}}
<div class="none">
    No work centre is entered yet.
    @can('draw-up') <a href="{{ route('centres.index') }}">Enter the first</a> @endcan
</div>
