<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Purchasing\AnswerPurchase;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\OrderWork;
use App\Actions\Purchasing\RaisePurchases;
use App\Actions\Purchasing\SendPurchase;
use App\Actions\Purchasing\TypedSending;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Queries\Outside\ReadyList;
use App\StandIn\Answering;
use App\StandIn\Turn;
use Carbon\CarbonImmutable;
use KeepPace\Core\Purchasing\PurchaseState;

/**
 * What the buyer does in the story: puts down what the shelf lacks, sends it, types what suppliers answer. What a
 * supplier says follows from the number of the order, so that the story is the same however often it is told.
 */
final class Buyer
{
    private Staff $staff;

    private Tries $tries;

    public function __construct(
        private readonly RaisePurchases $raise,
        private readonly SendPurchase $send,
        private readonly AnswerPurchase $answer,
        private readonly Answering $suppliers,
        private readonly OrderWork $work,
    ) {
    }

    public function begin(Staff $staff, Dice $dice, Tries $tries): void
    {
        $this->staff = $staff;
        $this->tries = $tries;
    }

    /** @param  list<LineToBuy>  $lines */
    public function putDown(array $lines): void
    {
        if ($lines === []) {
            return;
        }
        $this->tries->of(fn () => $this->raise->handle($lines, false, $this->staff->signs(Role::Buyer), true));
    }

    /** The work of what is one step from its supplier is ordered; on the last days some is not yet. */
    public function orderWork(int $left): void
    {
        $ready = ReadyList::all();
        $steps = $ready->notOrdered($ready->all->rows);
        if ($steps !== [] && $left > 1) {
            $this->tries->of(fn () => $this->work->handle($steps, $this->staff->signs(Role::Buyer)));
        }
    }

    /** Drafts go out by mail; who has no address gets them on paper. The last ones wait still. */
    public function send(int $left): void
    {
        if ($left < 1) {
            return;
        }
        $drafts = PurchaseOrder::query()->with('supplier.contacts.ways')->where('state', PurchaseState::Draft)->get();
        foreach ($drafts as $order) {
            $to = $order->supplier->contacts
                ->flatMap(fn ($contact) => $contact->ways)
                ->firstWhere('kind', 'mail')?->at;
            $this->tries->of(fn () => $this->send->handle(
                $order->id,
                $order->version,
                new TypedSending($to),
                $this->staff->signs(Role::Buyer),
            ));
        }
    }

    /** What was sent before today is answered; what differs is settled the day after. */
    public function answers(int $left): void
    {
        if ($left < 2) {
            return;
        }
        $asked = PurchaseLine::query()->whereNotNull('answered_quantity')->pluck('id');
        foreach ($asked as $line) {
            $this->tries->of(fn () => $this->answer->settle($line, true, $this->staff->signs(Role::Buyer)));
        }
        $sent = PurchaseOrder::query()
            ->where('state', PurchaseState::Sent)
            ->where('sent_on', '<', CarbonImmutable::now()->toDateString())
            ->get();
        foreach ($sent as $order) {
            $turn = Turn::answerTo($order->id);
            $this->tries->of(fn () => $this->suppliers->handle($order, $turn, $this->staff->signs(Role::Buyer)));
        }
    }
}
