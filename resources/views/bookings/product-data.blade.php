<h2>Product data changed</h2>
<table class="list">
    <thead>
        <tr>
            <th>Of</th>
            <th>What</th>
            <th>From</th>
            <th>To</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($changes->rows as $change)
            <tr>
                <td class="num tight">{{ $change->record }}</td>
                <td>{{ $change->field }}</td>
                <td>{{ $print->field($change->field, $change->before) }}</td>
                <td>{{ $print->field($change->field, $change->after) }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
@if ($changes->says())
    <p class="sub">{{ $changes->says() }}</p>
@endif
