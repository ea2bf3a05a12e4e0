<?php

namespace App\Http\Controllers\Import;

use App\Actions\Import\BeginImport;
use App\Actions\Import\Files;
use App\Actions\Import\StoredRows;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use App\Http\Upload;
use App\Jobs\RunImport;
use App\Models\Person;
use App\Queries\ImportRow;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;

/** Importing files: they are taken in here, read by the queue worker, and the page shows how far it is. */
class ImportController extends Controller
{
    public function index(): View
    {
        return view('import.index', [
            'specs' => Files::all(),
            'imports' => ImportRow::last(),
            'kinds' => StoredRows::FILES,
        ]);
    }

    public function store(Request $request, BeginImport $begin): RedirectResponse
    {
        $most = 'A file has '.Upload::say(Upload::limit()).' at most.';
        $request->validate(['files' => ['required', 'array', 'max:30'], 'files.*' => ['file', 'max:'.Upload::limit()]],
            [
                'files.required' => 'Choose the CSV files to import.',
                'files.*.max' => $most,
                'files.*.uploaded' => $most,
            ]);
        /** @var Person $user */
        $user = $request->user();
        $folder = storage_path('app/imports/'.Str::uuid());
        mkdir($folder, 0700, true);
        $names = [];
        /** @var list<UploadedFile> $files */
        $files = $request->file('files');
        foreach ($files as $file) {
            $names[] = $name =
                preg_replace('/[^A-Za-z0-9._-]/', '_', basename($file->getClientOriginalName())) ?: 'file';
            $file->move($folder, $name);
        }
        $id = $begin->handle($user, $folder, $names, $request->boolean('try'));
        RunImport::dispatch($id);

        return to_route('import.show', $id);
    }

    /** Does what was tried: the same files, as they lie there. */
    public function update(DeedRequest $request, int $import, BeginImport $begin): RedirectResponse
    {
        $begin->tried($import);
        RunImport::dispatch($import);

        return to_route('import.show', $import);
    }

    public function show(Request $request, int $import): View
    {
        $found = ImportRow::find($import) ?? abort(404, 'There is no such import.');

        return view($this->wantsPart($request) ? 'import.progress' : 'import.show', ['import' => $found]);
    }
}
