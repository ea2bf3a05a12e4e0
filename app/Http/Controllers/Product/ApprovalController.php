<?php

namespace App\Http\Controllers\Product;

use App\Actions\Product\ApproveRevision;
use App\Http\Controllers\Controller;
use App\Http\Requests\Product\ApprovalRequest;
use App\Models\RevisionKind;
use Illuminate\Http\RedirectResponse;

/** Approves drafts. */
class ApprovalController extends Controller
{
    /** @param  string  $kind  of revision, said by its route */
    public function store(ApprovalRequest $request, ApproveRevision $approve, int $id, string $kind): RedirectResponse
    {
        $of = RevisionKind::from($kind);

        return $this->done(
            to_route("{$of->value}.show", $id),
            $approve->handle($of, $id, $request->approval(), $request->signed()),
        );
    }
}
