<?php

namespace App\Http\Controllers\Partners;

use App\Http\Controllers\Controller;
use App\Models\Mail;
use App\Queries\Purchasing\ListedMail;
use App\StandIn\OpenOrder;
use App\StandIn\StandIn;
use Illuminate\Contracts\View\View;

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
}
