@props(['question'])
{{-- What becomes of more than was ordered: one touch each. --}}
@can('purchase')
    <x-form method="put" class="d-inline-flex gap-1 mb-0" :key="$question->form()"
        :to="route('questions.over', $question->id)">
        @foreach ($question->overAnswers() as $answer)
            <button class="btn btn-act btn-small" name="over" value="{{ $answer->value }}">
                {{ ucfirst($answer->label()) }}
            </button>
        @endforeach
    </x-form>
@endcan
