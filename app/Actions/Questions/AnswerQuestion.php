<?php

namespace App\Actions\Questions;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Question;
use App\Models\QuestionKind;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Refused;

/** Closes a question with a sentence: nothing more is to be booked for it. */
final class AnswerQuestion
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when it was answered already */
    public function handle(int $id, string $answer, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Answer,
            $signed->because($answer),
            new Part(
                Needs::orders([Question::query()->findOrFail($id)->order_id]),
                function (Ledger $ledger, Held $held) use ($id, $answer): void {
                    $question = Question::query()->findOrFail($id);
                    self::assertAnsweredSo($question);
                    $order = $question->order_id === null ? null : $held->order($question->order_id);
                    if ($question->answered_at !== null) {
                        throw Refused::because("This was answered meanwhile: {$question->answer}.");
                    }
                    $ledger->questions->answered($question, $answer);
                    $ledger->concerns($order);
                    $ledger->says("Answered: {$question->says} {$answer}");
                },
            ),
        );
    }

    /**
     * What asks for a deed is answered by that.
     *
     * @throws Refused naming where
     */
    private static function assertAnsweredSo(Question $question): void
    {
        $elsewhere = match ($question->kind) {
            QuestionKind::Over => PurchaseRefused::overIsAnswered(),
            QuestionKind::Rejects => OutsideRefused::answeredOnClaims(),
            QuestionKind::Left => OutsideRefused::answeredThere(),
            QuestionKind::Backflush, QuestionKind::Short => null,
        };
        if ($elsewhere !== null) {
            throw $elsewhere;
        }
    }
}
