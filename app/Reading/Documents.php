<?php

namespace App\Reading;

use KeepPace\Core\Planning\Document;
use KeepPace\Core\Planning\DocumentKind;

/** Documents as they are kept in the plan: kind, id and number. */
final class Documents
{
    public static function of(Row $kept): Document
    {
        [$id, $number] = [$kept->int('id'), $kept->text('number')];

        return match ($kept->enum('kind', DocumentKind::class)) {
            DocumentKind::Order => Document::order($id, $number),
            DocumentKind::Purchase => Document::purchase($id, $number),
            DocumentKind::Inspection => Document::inspection($id, $number),
        };
    }

    public static function ofOrNull(?Row $kept): ?Document
    {
        return $kept === null ? null : self::of($kept);
    }
}
