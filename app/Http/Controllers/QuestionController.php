<?php

namespace App\Http\Controllers;

use App\Actions\Questions\AnswerQuestion;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Queries\Questions\ArrivalList;
use App\Queries\Questions\QuestionList;
use App\Queries\Shop\Deliveries;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Open points with owner and age, and their answers. */
class QuestionController extends Controller
{
    public function index(): View
    {
        return view(
            'questions.index',
            [
                'cut' => $cut = QuestionList::open(),
                'open' => $cut->rows,
                'arrivals' => ArrivalList::asked(Deliveries::now()),
                'answered' => QuestionList::answered(),
            ],
        );
    }

    public function update(DeedRequest $request, int $question, AnswerQuestion $answer): RedirectResponse
    {
        $typed = $request->validate(
            ['answer' => ['required', ...Rules::text(200)]],
            ['answer.required' => 'Say what it was.'],
        );

        return $this->done(back(), $answer->handle($question, $typed['answer'], $request->token(), $request->person()));
    }
}
