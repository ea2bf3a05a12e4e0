<?php

namespace App\Http\Controllers\Bookings;

use App\Actions\Questions\AnswerQuestion;
use App\Http\Controllers\Controller;
use App\Http\Requests\Bookings\AnswerRequest;
use App\Queries\Questions\ArrivalList;
use App\Queries\Questions\QuestionList;
use App\Shop\Deliveries;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Open points with owner and age, and their answers. */
class QuestionController extends Controller
{
    public function index(): View
    {
        $cut = QuestionList::open();
        $arrivals = ArrivalList::asked(Deliveries::now());
        $count = $cut->count + count($arrivals);

        return view('questions.index', [
            'says' => match ($count) {
                0 => 'None is open.',
                1 => '1 is open.',
                default => "{$count} are open, oldest first.",
            },
            'cut' => $cut,
            'arrivals' => $arrivals,
            'answered' => QuestionList::answered(),
        ]);
    }

    public function update(AnswerRequest $request, int $question, AnswerQuestion $answer): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(back(), $answer->handle($question, $typed['answer'], $request->signed()));
    }
}
