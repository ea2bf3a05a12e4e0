<?php

namespace App\Http\Requests\Product;

use App\Actions\Product\TypedBack;
use App\Actions\Product\TypedLine;
use App\Actions\Product\TypedStructure;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainNumber;
use App\Http\Requests\Rules;
use App\Http\Requests\TypedRows;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;

/** The lines of a structure's draft: what goes in, and what comes back. */
class StructureRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'version' => Rules::version(),
            'note' => ['nullable', ...Rules::text(200)],
            'lines' => ['nullable', 'array', 'max:3000'],
            'back' => ['nullable', 'array', 'max:100'],
        ];
    }

    public function typed(): TypedStructure
    {
        return new TypedStructure($this->lines(), $this->comesBack(), $this->validated('note') ?? '');
    }

    /** @return array<int, TypedLine>  by row of the form; rows without a component and a quantity are passed by */
    private function lines(): array
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

    /** @return array<int, TypedBack>  by row of the form, likewise */
    private function comesBack(): array
    {
        $rows = TypedRows::of($this->array('back'), 'back', ['component', 'quantity']);
        $lines = [];
        foreach ($rows->places() as $at) {
            $share = $rows->number($at, 'share', new PlainNumber(most: '9999999'), '');
            $lines[$at] = new TypedBack(
                $rows->whole($at, 'id', 1, 999_999_999),
                $rows->words($at, 'component', 40),
                $rows->number($at, 'quantity', new PlainNumber(above: true)),
                $rows->choice($at, 'gives', OutputKind::ByProduct),
                $rows->choice($at, 'share_rule', ShareRule::SetValue),
                $share === '' ? null : $share,
                $rows->text($at, 'unit', 12),
                $rows->choice($at, 'basis', LineBasis::PerUnit),
            );
            in_array($lines[$at]->kind, OutputKind::BESIDE, true)
                ?: $rows->wrong($at, 'gives', 'Choose one of those offered.');
            $lines[$at]->rule !== ShareRule::Rest ?: $rows->wrong($at, 'share_rule', 'Choose one of those offered.');
        }
        $rows->assertRight();

        return $lines;
    }
}
