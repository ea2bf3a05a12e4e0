{{-- What should be here and is not: an answer gives it a day, says that nobody knows, or that it comes no more. --}}
<h2 id="arrivals">When does it come?</h2>
<p class="say">Each is planned for {{ $arrivals[0]->assumed }} until somebody gives a day.</p>
<table class="list">
    <thead><tr><th>Asked of the buyer</th><th>What</th><th>Supplier</th><th>So far</th><th>Answer</th></tr></thead>
    <tbody>
    @foreach ($arrivals as $question)
        <tr>
            <td>{{ $print->says($question->says) }}</td>
            <td>{{ $question->what }}</td>
            <td class="cut">{{ $question->supplier }}</td>
            <td class="sub">{{ $question->history }}</td>
            <td>@can('purchase')<x-arrival-form :question="$question" />@endcan</td>
        </tr>
    @endforeach
    </tbody>
</table>
