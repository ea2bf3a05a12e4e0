<?php

namespace App\Models;

/** What of an item is kept in revisions: what it is made of, and how. Its value is the table of the heads. */
enum RevisionKind: string
{
    case Structure = 'structures';
    case Routing = 'routings';

    public function label(): string
    {
        return match ($this) {
            self::Structure => 'structure',
            self::Routing => 'routing',
        };
    }

    /** Table of its lines or steps. */
    public function lines(): string
    {
        return match ($this) {
            self::Structure => 'structure_lines',
            self::Routing => 'routing_steps',
        };
    }

    /** Their column of the head. */
    public function parent(): string
    {
        return match ($this) {
            self::Structure => 'structure_id',
            self::Routing => 'routing_id',
        };
    }

    /** The column they are known and sorted by. */
    public function by(): string
    {
        return match ($this) {
            self::Structure => 'position',
            self::Routing => 'number',
        };
    }

    /** What that is called. */
    public function word(): string
    {
        return match ($this) {
            self::Structure => 'position',
            self::Routing => 'step',
        };
    }

    /** @return class-string<Structure>|class-string<Routing> */
    public function model(): string
    {
        return match ($this) {
            self::Structure => Structure::class,
            self::Routing => Routing::class,
        };
    }
}
