<?php

namespace App\Books;

use App\Models\Booking;
use App\Models\Claim;
use App\Models\Move;
use App\Models\Order;
use App\Models\Question;
use App\Models\QuestionKind;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder as Rows;
use Illuminate\Support\Facades\DB;

/**
 * Questions are answered, whole or bit by bit, when what they asked for has been booked, and asked again when that is
 * taken back. `Ask` opens them.
 */
final class Questions implements Book
{
    /** @var list<array{booking_id: int, question_id: int, quantity: string}> to be written */
    private array $entries = [];

    public function __construct(private readonly Ledger $ledger)
    {
    }

    /** What was asked about it is answered, if it was. */
    public function claimSettled(Claim $claim, string $answer): void
    {
        $asked = Question::query()->where('claim_id', $claim->id)->whereNull('answered_at')->first();
        $asked === null ?: $this->answered($asked, $answer);
    }

    /** What was asked about it was answered by the deed that settled it. */
    public function answeredWith(Claim $claim): bool
    {
        return Question::query()
            ->where('claim_id', $claim->id)
            ->where('answer_booking_id', $claim->ended_by_booking_id)
            ->exists();
    }

    /** It is answered by this deed. */
    public function answered(Question $question, string $answer): void
    {
        $this->settle($question, BigDecimal::of($question->open_quantity), $answer);
    }

    /** So many of what the order is short were cured, the oldest first; a question with nothing left is answered. */
    public function cured(Order $order, BigDecimal $amount, string $answer): void
    {
        foreach (self::short($order)->whereNull('answered_at')->orderBy('id')->get() as $question) {
            if ($amount->isZero()) {
                break;
            }
            $amount = $amount->minus($this->settle($question, $amount, $answer));
        }
    }

    /** So many of what was cured are not, after all: they are asked about again, the latest question first. */
    public function curedNot(Order $order, BigDecimal $amount): void
    {
        $cured = self::short($order)->whereColumn('open_quantity', '<', 'quantity')->where(self::isAsked(...));
        foreach ($cured->orderByDesc('id')->get() as $question) {
            $part = BigDecimal::min(BigDecimal::of($question->quantity)->minus($question->open_quantity), $amount);
            $part->isZero() ?: $this->askAgain($question, $part);
            $amount = $amount->minus($part);
        }
    }

    /** How many of what the order is short are asked about. */
    public function openOf(Order $order): BigDecimal
    {
        return BigDecimal::of((string) self::short($order)->whereNull('answered_at')->sum('open_quantity'));
    }

    /** The order is closed with what came of it: it is cured no more. */
    public function closed(Order $order): void
    {
        foreach (self::short($order)->whereNull('answered_at')->orderBy('id')->get() as $question) {
            $this->answered($question, 'closed with what came');
        }
    }

    /** @param  array<int, BigDecimal>  $taken  used just now, by component */
    public function usedNow(array $taken): void
    {
        foreach (
            Question::query()
                ->whereIn('component_id', array_keys($taken))
                ->whereNull('answered_at')
                ->orderBy('id')
                ->get() as $question
        ) {
            $taken[$question->component_id] = $taken[$question->component_id]->minus(
                $this->settle($question, $taken[$question->component_id], 'booked'),
            );
        }
    }

    /** @return BigDecimal what of the amount the question took */
    private function settle(Question $question, BigDecimal $amount, string $answer): BigDecimal
    {
        $part = BigDecimal::min($question->open_quantity, $amount);
        $left = BigDecimal::of($question->open_quantity)->minus($part);
        $question->open_quantity = (string) $left;
        $this->keep($question, $part);
        if ($left->isZero()) {
            $question->fill([
                'answered_at' => now(),
                'answered_by' => $this->ledger->booking->person_id,
                'answer' => $answer,
                'answer_booking_id' => $this->ledger->booking->id,
            ]);
        }
        $question->save();

        return $part;
    }

    public function locks(Undone $undone): Needs
    {
        $questions = Question::query()
            ->where('booking_id', $undone->booking->id)
            ->orWhere('answer_booking_id', $undone->booking->id)
            ->orWhereIn('id', DB::table('question_entries')
                ->where('booking_id', $undone->booking->id)
                ->select('question_id'));

        return $undone->isWhole ? Needs::orders($questions->pluck('order_id')) : Needs::nothing();
    }

    /** What came beyond what is taken goes back with its line, or not at all: nobody could answer for a part. */
    public function against(Undone $undone): array
    {
        return array_values($this->asked($undone)
            ->filter(fn (Question $question): bool => $undone->parts((int) $question->purchase_line_id))
            ->map(fn (): string => 'More came on a line than is taken, and that is not answered yet. Answer it '
                .'first, or take all of that line back.')
            ->all());
    }

    /** A reversed booking takes its questions with it, and asks again so much as it had settled. */
    public function reverse(Undone $undone): void
    {
        foreach ($this->asked($undone) as $question) {
            $this->answered($question, 'taken back with its booking');
        }
        foreach ($this->settledBy($undone) as [$question, $part]) {
            $this->askAgain($question, $part);
        }
        $back = self::used($undone->moves);
        foreach ($this->answeredBefore($undone, array_keys($back)) as $question) {
            $part = BigDecimal::min(
                BigDecimal::of($question->quantity)->minus($question->open_quantity),
                $back[$question->component_id],
            );
            $back[$question->component_id] = $back[$question->component_id]->minus($part);
            if ($part->isPositive()) {
                $this->askAgain($question, $part);
            }
        }
    }

    public function flush(): void
    {
        DB::table('question_entries')->insert($this->entries);
        $this->entries = [];
    }

    /**
     * What it had asked and nobody has answered; of lines what was asked about these.
     *
     * @return Collection<int, Question>
     */
    private function asked(Undone $undone): Collection
    {
        return Question::query()
            ->where('booking_id', $undone->booking->id)
            ->whereNull('answered_at')
            ->when(! $undone->isWhole, fn (Builder $query) => $query
                ->whereIn('purchase_line_id', $undone->moves->pluck('purchase_line_id')->filter()))
            ->get();
    }

    /** @return Builder<Question> */
    private static function short(Order $order): Builder
    {
        return Question::query()->where('order_id', $order->id)->where('kind', QuestionKind::Short);
    }

    /**
     * A question asks no more when what asked it was taken back itself.
     *
     * @param  Builder<Question>  $questions
     */
    private static function isAsked(Builder $questions): void
    {
        $questions->whereNotIn('booking_id', Booking::query()->whereNotNull('reverses_id')->select('reverses_id'));
    }

    /**
     * What a booking settled of what it was not asked by itself. What was used of a component is asked again by what
     * comes back of it, line by line.
     *
     * @return list<array{Question, BigDecimal}>
     */
    private function settledBy(Undone $undone): array
    {
        $parts = self::partsBy($undone->booking->id);
        $questions = Question::query()
            ->whereKey(array_keys($parts))
            ->where('booking_id', '<>', $undone->booking->id)
            ->where(self::isAsked(...))
            ->whereNull('component_id')
            ->orderBy('id')
            ->get();

        return array_values($questions
            ->map(fn (Question $one): array => [$one, BigDecimal::of($parts[$one->id])])
            ->filter(fn (array $one): bool => $one[1]->isPositive())
            ->all());
    }

    /**
     * What a booking settled of each question, less what was asked again since with the order it made for that.
     *
     * @return array<int|string, string> by question
     */
    private static function partsBy(int $booking): array
    {
        $made = DB::table('record_changes')
            ->where('booking_id', $booking)
            ->where('record', 'order')
            ->whereNull('fields')
            ->select('record_id');
        $settled = DB::table('question_entries AS e')
            ->leftJoin('booking_says AS b', 'b.booking_id', 'e.booking_id')
            ->whereIn('e.question_id', DB::table('question_entries')
                ->where('booking_id', $booking)
                ->select('question_id'))
            ->where(fn (Rows $by) => $by->where('e.booking_id', $booking)->orWhereIn('b.order_id', $made))
            ->groupBy('e.question_id')
            ->selectRaw('e.question_id, SUM(e.quantity) AS quantity');

        return Row::textsBy($settled, 'quantity', 'question_id');
    }

    private function askAgain(Question $question, BigDecimal $part): void
    {
        $question
            ->fill([
                'open_quantity' => (string) BigDecimal::of($question->open_quantity)->plus($part),
                'answered_at' => null,
                'answered_by' => null,
                'answer' => '',
                'answer_booking_id' => null,
            ])
            ->save();
        $this->keep($question, $part->negated());
    }

    private function keep(Question $question, BigDecimal $settled): void
    {
        $this->entries[] = [
            'booking_id' => $this->ledger->booking->id,
            'question_id' => $question->id,
            'quantity' => (string) $settled,
        ];
    }

    /**
     * @param  iterable<Move>  $moves
     * @return array<int, BigDecimal> by component
     */
    private static function used(iterable $moves): array
    {
        $used = [];
        foreach ($moves as $move) {
            if ($move->component_id !== null) {
                $used[$move->component_id] = ($used[$move->component_id] ?? BigDecimal::zero())->plus($move->quantity);
            }
        }

        return $used;
    }

    /**
     * @param  list<int>  $components
     * @return iterable<Question> the newest first
     */
    private function answeredBefore(Undone $undone, array $components): iterable
    {
        return Question::query()
            ->whereIn('component_id', $components)
            ->where('booking_id', '<', $undone->booking->id)
            ->whereColumn('open_quantity', '<', 'quantity')
            ->where(fn ($any) => $any->whereNull('answered_at')->orWhere('answer', 'booked'))
            ->orderByDesc('id')
            ->get();
    }
}
