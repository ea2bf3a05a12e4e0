<?php

namespace App\Http\Requests;

use App\Actions\Product\TypedLine;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\LineBasis;

/** The lines of a structure's draft. */
class StructureRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'note' => ['nullable', ...Rules::text(200)],
            'lines' => ['nullable', 'array', 'max:3000'],
        ];
    }

    /** @return array<int, TypedLine>  by row of the form; rows without a component and a quantity are passed by */
    public function lines(): array
    {
        $rows = TypedRows::of($this->array('lines'), 'lines', ['component', 'quantity']);
        $lines = [];
        foreach ($rows->places() as $at) {
            $by = $rows->text($at, 'supplied_by', 12);
            if (! in_array($by, ['', 'us', 'customer'], true)) {
                $rows->wrong($at, 'supplied_by', 'Choose one of those offered.');
            }
            $lines[$at] = new TypedLine(
                $rows->whole($at, 'id', 1, 999_999_999),
                $rows->words($at, 'component', 40),
                $rows->number($at, 'quantity', new PlainNumber(above: true)),
                $rows->text($at, 'unit', 12),
                $rows->choice($at, 'basis', LineBasis::PerUnit),
                $rows->number($at, 'scrap', new PlainNumber(most: '99.9999', decimals: 4), '0'),
                $rows->whole($at, 'step', 1, 9999),
                $rows->text($at, 'designators', 200),
                $rows->choice($at, 'issue_by', IssueBy::Hand),
                $by === '' ? 'us' : $by,
            );
        }
        $rows->assertRight();

        return $lines;
    }
}
