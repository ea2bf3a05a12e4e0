<?php

namespace App\Http\Controllers;

use App\Access\Deed;
use App\Models\Mail;
use App\Papers\PurchasePaper;
use App\Queries\Purchasing\ListedMail;
use App\Shop\PurchaseSheet;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** What went out by mail. */
class MailController extends Controller
{
    public function index(): View
    {
        return view('mails.index', ['mails' => ListedMail::all()]);
    }

    public function show(int $mail): View
    {
        return view('mails.show', ['mail' => Mail::query()->with('order.supplier')->findOrFail($mail)]);
    }

    /** The paper that was in it, as it was. */
    public function paper(int $mail): Response
    {
        $found = Mail::query()->findOrFail($mail);
        $paper = PurchasePaper::pdf(PurchaseSheet::kept($found->paper), Gate::allows(Deed::SeeMoney->value));

        return response($paper, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"mail-{$found->id}.pdf\"",
        ]);
    }
}
