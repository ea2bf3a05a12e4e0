<?php

namespace App\Http\Controllers;

use App\Actions\Product\ApproveRevision;
use App\Http\Requests\ApprovalRequest;
use App\Models\RevisionKind;
use Illuminate\Http\RedirectResponse;

/** Approves drafts. */
class ApprovalController extends Controller
{
    public function __construct(private readonly ApproveRevision $approve)
    {
    }

    public function structure(ApprovalRequest $request, int $structure): RedirectResponse
    {
        return $this->approve($request, RevisionKind::Structure, $structure);
    }

    public function routing(ApprovalRequest $request, int $routing): RedirectResponse
    {
        return $this->approve($request, RevisionKind::Routing, $routing);
    }

    private function approve(ApprovalRequest $request, RevisionKind $kind, int $id): RedirectResponse
    {
        return $this->done(
            to_route("{$kind->value}.show", $id),
            $this->approve->handle($kind, $id, $request->approval(), $request->signed()),
        );
    }
}
