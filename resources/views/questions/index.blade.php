<x-layout title="Questions">
    <div class="head">
        <h1>Questions</h1>
        <span class="say">{{ $says }}</span>
    </div>
    @if ($arrivals !== [])
        @include('questions.arrivals')
        <h2>Of the shop</h2>
    @endif
    @if ($cut->rows->isEmpty())
        <div class="none">What backflush cannot book is asked here, with its age.</div>
    @else
        @include('questions.open')
        <x-cut :of="$cut" />
    @endif
    @if ($answered->isNotEmpty())
        <h2>Answered</h2>
        <table class="list">
            <thead>
                <tr>
                    <th>When</th>
                    <th>Who</th>
                    <th>What</th>
                    <th>Answer</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($answered as $question)
                    <tr>
                        <td class="tight">{{ $print->when($question->answeredAt) }}</td>
                        <td>{{ $question->answerer }}</td>
                        <td>{{ $print->says($question->says) }}</td>
                        <td>{{ $question->answer }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-layout>
