<?php

namespace App\Http\Controllers\Product;

use App\Actions\Files\HangFile;
use App\Files\FileStore;
use App\Files\FileType;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Product\FileRequest;
use App\Models\Attachable;
use App\Models\Attachment;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\HeaderUtils;

/** Files that hang on items, customers, suppliers and work centres: read through what they hang on. */
class FileController extends Controller
{
    /** Pictures are shown, all else is sent as a download. */
    public function show(int $attachment, FileStore $store): Response
    {
        $found = Attachment::hanging($attachment);
        $type = FileType::from($found->file->type);
        $content = $store->get($found->file->hash) ?? abort(404, 'This file is not in the store any more.');
        $ascii = (string) preg_replace('/[^A-Za-z0-9._ -]/', '_', $found->name);
        $how = $type->isPicture() ? HeaderUtils::DISPOSITION_INLINE : HeaderUtils::DISPOSITION_ATTACHMENT;

        return response($content, 200, [
            'Content-Type' => $type->mime(),
            'Content-Disposition' => HeaderUtils::makeDisposition($how, $found->name, $ascii),
            'Cache-Control' => 'private, max-age=3600',
        ]);
    }

    public function store(FileRequest $request, int $id, Attachable $on, HangFile $hang): RedirectResponse
    {
        return $this->done(back(), $hang->handle($on, $id, $request->typed(), $request->signed()));
    }

    public function destroy(DeedRequest $request, int $attachment, HangFile $hang): RedirectResponse
    {
        $found = Attachment::query()->findOrFail($attachment);
        Gate::authorize($found->hangsOn()->right()->value);

        return $this->done(back(), $hang->remove($attachment, $request->signed()));
    }
}
