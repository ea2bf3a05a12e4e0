@props(['question'])
{{-- What becomes of a part that is left at a supplier: one touch each. --}}
@can('purchase')
    <x-form method="put" class="d-inline-flex gap-1 mb-0" :key="$question->form()"
        :to="route('questions.left', $question->id)">
        @foreach ($question->leftAnswers() as $answer)
            <button class="btn btn-quiet btn-small" name="left" value="{{ $answer->value }}">
                {{ $answer->label() }}
            </button>
        @endforeach
    </x-form>
@endcan
