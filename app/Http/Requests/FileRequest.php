<?php

namespace App\Http\Requests;

use App\Actions\Files\TypedFile;
use App\Http\Upload;
use App\Models\AttachmentKind;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

/** A file that is to hang on something. */
class FileRequest extends DeedRequest
{
    /** kB. */
    private const MOST = 10_240;

    protected function fields(): array
    {
        return [
            'file' => ['required', 'bail', 'file', 'max:'.min(self::MOST, Upload::limit())],
            'kind' => ['required', Rule::enum(AttachmentKind::class)],
            'name' => ['nullable', ...Rules::text(120)],
            'step' => ['nullable', 'bail', 'integer', 'between:1,9999'],
        ];
    }

    public function messages(): array
    {
        $most = 'A file has '.Upload::say(min(self::MOST, Upload::limit())).' at most.';

        return [
            ...parent::messages(),
            'file.required' => 'Choose a file.',
            'file.max' => $most,
            'file.uploaded' => $most,
        ];
    }

    public function typed(): TypedFile
    {
        $file = $this->file('file');
        if (! $file instanceof UploadedFile) {
            throw new \LogicException('The rules ask for a file.');
        }
        $name = $this->string('name')->trim()->value();
        $own = (string) preg_replace('/[\x00-\x1F\x7F\/\\\\"]+/', ' ', $file->getClientOriginalName());

        return new TypedFile(
            $file->getContent(),
            $name !== '' ? $name : mb_strimwidth(trim($own) === '' ? 'file' : trim($own), 0, 120, '…'),
            AttachmentKind::from($this->validated('kind')),
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
