<?php

namespace App\Http\Controllers;

use App\Access\Deed;
use App\Models\Mail;
use App\Papers\PurchasePaper;
use App\Queries\Purchasing\ListedMail;
use App\Shop\PurchaseSheet;
use App\StandIn\OpenOrder;
use App\StandIn\StandIn;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** What went out by mail. */
class MailController extends Controller
{
    public function index(): View
    {
        return view('mails.index', ['mails' => ListedMail::all(), 'isDemo' => StandIn::person() !== null]);
    }

    public function show(int $mail): View
    {
        $found = Mail::query()->with('order.supplier')->findOrFail($mail);
        $open = StandIn::person() === null ? null : OpenOrder::find($found->purchase_order_id);

        return view('mails.show', ['mail' => $found, 'turns' => $open?->turns() ?? []]);
    }

    /** The paper that was in it, as it was. */
    public function paper(int $mail): Response
    {
        $found = Mail::query()->findOrFail($mail);
        $paper = PurchasePaper::pdf(PurchaseSheet::kept($found->paper), Gate::allows(Deed::SeeMoney->value));

        return $this->paperNamed("mail-{$found->id}", $paper);
    }
}
