<?php

namespace App\Http\Requests\Billing;

use App\Actions\Billing\BillFile;
use App\Actions\Billing\TypedBill;
use App\Http\Requests\DeedRequest;
use Illuminate\Http\UploadedFile;
use KeepPace\Core\Refused;

/** A file with bills of suppliers. */
class BillFileRequest extends DeedRequest
{
    /** kB: thousands of lines. */
    private const MOST = 2048;

    protected function fields(): array
    {
        return ['file' => ['required', 'file', 'max:'.self::MOST, 'extensions:csv,json']];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'file.required' => 'Choose the file with the bills.',
            'file.extensions' => 'Bills come as CSV or JSON.',
            'file.max' => 'A file of bills has 2 MB at most.',
        ];
    }

    /**
     * @return non-empty-list<TypedBill>
     *
     * @throws Refused with what is wrong in it, line by line
     */
    public function bills(): array
    {
        $file = $this->file('file');
        if (! $file instanceof UploadedFile) {
            throw new \LogicException('The rules ask for one file.');
        }

        return BillFile::read($file->getPathname(), $file->getClientOriginalExtension() === 'json');
    }
}
