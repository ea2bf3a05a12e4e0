<?php

namespace App\Models;

/** What a booking is about. Deeds without moves are bookings too: together they are the audit trail. */
enum BookingKind: string
{
    case Import = 'import';
    case CustomerOrder = 'customer_order';
    case CustomerLineChanged = 'customer_line_changed';
    case Cover = 'cover';
    case OrderMade = 'order_made';
    case OrderChanged = 'order_changed';
    case Release = 'release';
    case GoodsIn = 'goods_in';
    case Issue = 'issue';
    case Return = 'return';
    case Start = 'start';
    case Report = 'report';
    case Receive = 'receive';
    case Build = 'build';
    case TakenApart = 'taken_apart';
    case Combined = 'combined';
    case Ship = 'ship';
    case Close = 'close';
    case Count = 'count';
    case LoadedByRank = 'loaded_by_rank';
    case StepMoved = 'step_moved';
    case StepPinned = 'step_pinned';
    case SetUpOnce = 'set_up_once';
    case PlanUndone = 'plan_undone';
    case WhatIf = 'what_if';
    case WentLive = 'went_live';
    case CalendarChanged = 'calendar_changed';
    case Downtime = 'downtime';
    case Absence = 'absence';
    case PromiseHeld = 'promise_held';
    case Scrap = 'scrap';
    case LotCorrected = 'lot_corrected';
    case Reserved = 'reserved';
    case Condition = 'condition';
    case LotDated = 'lot_dated';
    case LateCost = 'late_cost';
    case Revalued = 'revalued';
    case Ranked = 'ranked';
    case Purchased = 'purchased';
    case PurchaseChanged = 'purchase_changed';
    case SentBack = 'sent_back';
    case OverAnswered = 'over_answered';
    case BillEntered = 'bill_entered';
    case BillAccepted = 'bill_accepted';
    case BillRefused = 'bill_refused';
    case SentOut = 'sent_out';
    case CameBack = 'came_back';
    case ClaimSettled = 'claim_settled';
    case ComesMade = 'comes_made';
    case LeftSettled = 'left_settled';
    case BackChanged = 'back_changed';
    case Split = 'split';
    case Remake = 'remake';
    case Answer = 'answer';
    case PeriodClosed = 'period_closed';
    case Person = 'person';
    case ProductData = 'product_data';
    case TakenOut = 'taken_out';
    case LinesReversed = 'lines_reversed';
    case Reversal = 'reversal';

    /** Taken back by a booking, book by book. */
    private const REVERSED = [
        self::CustomerOrder, self::Cover, self::OrderMade, self::Release, self::GoodsIn, self::Issue, self::Return,
        self::Start, self::Report, self::SentOut, self::CameBack, self::ClaimSettled, self::ComesMade,
        self::LeftSettled, self::Receive, self::Build, self::TakenApart, self::Combined, self::Ship, self::Close,
        self::Count, self::Scrap, self::SentBack, self::OverAnswered, self::BillAccepted, self::Condition,
        self::LateCost, self::Remake,
    ];

    /** Parts were carried to an order by it: handed out, or handed on as they came. */
    public function bringsParts(): bool
    {
        return in_array($this, [self::Issue, self::Receive, self::GoodsIn, self::CameBack], true);
    }

    /** In words: as it is written in the books, but for a few. */
    public function label(): string
    {
        return match ($this) {
            self::CustomerLineChanged => 'line changed',
            self::Report => 'count and pass on',
            self::StepPinned => 'pin',
            self::WhatIf => 'what-if',
            self::WentLive => 'plan went live',
            self::Downtime => 'machine down',
            self::Absence => 'person away',
            self::Reserved => 'kept for an order',
            self::LotDated => 'lot dated anew',
            self::Ranked => 'rank',
            self::Purchased => 'purchase',
            self::OverAnswered => 'more than ordered',
            self::BillEntered => 'bill',
            self::BillRefused => 'bill sent back',
            self::CameBack => 'back from a supplier',
            self::ClaimSettled => 'claim on a supplier',
            self::ComesMade => 'made of parts of ours',
            self::LeftSettled => 'left at a supplier',
            self::BackChanged => 'back on another day',
            self::Split => 'order split',
            self::Person => 'people',
            self::TakenOut => 'taken out as a file',
            default => str_replace('_', ' ', $this->value),
        };
    }

    public function undo(): Undoing
    {
        return match ($this) {
            self::Reversal => Undoing::BookedAgain,
            self::Import => Undoing::Counted,
            self::CustomerLineChanged,
            self::OrderChanged,
            self::Revalued,
            self::Ranked,
            self::LotCorrected,
            self::LotDated,
            self::BackChanged,
            self::PurchaseChanged,
            self::Person,
            self::ProductData => Undoing::ChangedBack,
            self::Split => Undoing::StaysSplit,
            self::Purchased,
            self::Reserved,
            self::BillEntered => Undoing::GivenUp,
            default => in_array($this, self::REVERSED, true) ? Undoing::Reversed : Undoing::EndedThere,
        };
    }

    public function isReversible(): bool
    {
        return $this->undo() === Undoing::Reversed;
    }

    /** Its lines stand by themselves and can be taken back one by one. */
    public function hasLines(): bool
    {
        return in_array($this, [self::Issue, self::Return, self::GoodsIn, self::Scrap], true);
    }

    /** A deed on a plan: it writes the plan itself and is taken back by the board's undo. */
    public function isOfPlan(): bool
    {
        return in_array($this, [...self::withoutFacts(), self::PlanUndone, self::WentLive, self::SetUpOnce], true);
    }

    /** It changes facts the plan is computed from, and has not written the plan itself. */
    public function changesFacts(): bool
    {
        return ! $this->isOfPlan() && ! in_array(
            $this,
            [
                self::PeriodClosed, self::LateCost, self::Revalued, self::TakenOut,
                self::BillEntered, self::BillAccepted, self::BillRefused, self::ClaimSettled,
            ],
            true,
        );
    }

    /** Who does it waits for what becomes of the plan: it is planned at once. */
    public function isAnsweredByPlan(): bool
    {
        return in_array(
            $this,
            [self::CalendarChanged, self::Downtime, self::Absence, self::PromiseHeld, self::Ranked],
            true,
        );
    }

    /** The plan follows it: what becomes of the dates is said when it is planned. */
    public function isPlannedLater(): bool
    {
        return $this->changesFacts() && ! $this->isAnsweredByPlan();
    }

    /** @return list<self> kinds that change no fact a plan is computed from */
    public static function withoutFacts(): array
    {
        return [self::LoadedByRank, self::StepMoved, self::StepPinned, self::WhatIf];
    }
}
