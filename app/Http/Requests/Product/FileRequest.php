<?php

namespace App\Http\Requests\Product;

use App\Actions\Files\TypedFile;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Http\TakenFile;
use App\Models\AttachmentKind;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

/** A file that is to hang on something. */
class FileRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'file' => ['required', ...TakenFile::rules()],
            'kind' => ['required', Rule::enum(AttachmentKind::class)],
            'name' => ['nullable', ...Rules::text(120)],
            'step' => ['nullable', 'bail', 'integer', 'between:1,9999'],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'file.required' => 'Choose a file.',
            'file.max' => TakenFile::tooBig(),
            'file.uploaded' => TakenFile::tooBig(),
        ];
    }

    public function typed(): TypedFile
    {
        $file = $this->file('file');
        if (! $file instanceof UploadedFile) {
            throw new \LogicException('The rules ask for a file.');
        }

        return TakenFile::of(
            $file,
            AttachmentKind::from($this->validated('kind')),
            $this->string('name')->trim()->value(),
            $this->validated('step') === null ? null : (int) $this->validated('step'),
        );
    }

    /** Two files are two deeds, whatever else is the same. */
    protected function prepareForValidation(): void
    {
        $file = $this->file('file');
        if ($file instanceof UploadedFile && $file->isValid()) {
            $this->merge(['content' => hash_file('sha256', $file->getPathname())]);
        }
    }
}
