<table class="list">
    <thead>
        <tr>
            <th>Since</th>
            <th>What</th>
            <th>Of</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($today->questions as $question)
            <tr>
                <td class="tight">{{ $print->ago($question->openedAt) }}</td>
                <td class="rest" title="{{ $print->says($question->says) }}">
                    <a href="{{ $question->address() }}">{{ $print->says($question->says) }}</a>
                </td>
                <td class="tight">{{ $question->role }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
