@foreach ($items as $item)<option value="{{ $item->number }}">{{ $item->name }} ({{ $item->unit }})</option>@endforeach
