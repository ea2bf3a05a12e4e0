<?php

namespace App\Http\Controllers\Partners;

use App\Access\Deed;
use App\Http\Controllers\Controller;
use App\Models\Mail;
use App\Papers\PurchasePaper;
use App\Shop\PurchaseSheet;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** What goes with a mail. */
class MailPaperController extends Controller
{
    public function show(int $mail): Response
    {
        $found = Mail::query()->findOrFail($mail);
        $paper = PurchasePaper::pdf(PurchaseSheet::kept($found->paper), Gate::allows(Deed::SeeMoney->value));

        return $this->paperNamed("mail-{$found->id}", $paper);
    }
}
