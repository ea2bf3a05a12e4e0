<?php

namespace App\Actions\Import;

use App\Actions\Partners\Ways;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Costing\PriceBreaks;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** One column of an import file: what may stand in it, and how it is read. */
final readonly class Column
{
    /**
     * @param  list<string>  $choices
     * @param  array{string, string}|null  $refers table and its column
     * @param  array<string, string>  $stored  what is kept for a choice, where that is another word
     * @param  bool  $isMoney  left out for who may not see what things cost
     */
    private function __construct(
        public string $name,
        public string $type,
        public ?string $default,
        public int $max = 0,
        public string $least = '0',
        public array $choices = [],
        public ?array $refers = null,
        public string $into = '',
        public string $most = '999999999',
        public array $stored = [],
        public bool $isMoney = false,
    ) {
    }

    /** @param  string|null  $default null = must be filled */
    public static function text(string $name, int $max, ?string $default = null): self
    {
        return new self($name, 'text', $default, $max, into: $name);
    }

    /**
     * A number or code that labels carry.
     *
     * @param  string|null  $default  null = must be filled
     */
    public static function code(string $name, int $max, ?string $default = null): self
    {
        return new self($name, 'code', $default, $max, into: $name);
    }

    /**
     * @param  int  $max decimals at most
     * @param  string  $most  what its column holds, or what can be meant
     */
    public static function decimal(
        string $name,
        ?string $default = null,
        string $least = '0',
        int $max = 6,
        string $most = '999999999',
    ): self {
        return new self($name, 'decimal', $default, $max, $least, into: $name, most: $most);
    }

    /** An amount of money, as an exact decimal. */
    public static function money(string $name, int $max = 6, string $most = '9999999'): self
    {
        return new self($name, 'decimal', '0', $max, '0', into: $name, most: $most, isMoney: true);
    }

    /** An amount of money, or none. */
    public static function moneyOrNone(string $name, int $max = 6, string $most = '9999999'): self
    {
        return new self($name, 'decimal', '', $max, '0', into: $name, most: $most, isMoney: true);
    }

    /** Prices by quantity, such as "5.00 10:4.50 50:3.75". */
    public static function prices(string $name): self
    {
        return new self($name, 'prices', '', into: $name, isMoney: true);
    }

    /** Telephones or mails, parted by "|". */
    public static function ways(string $name): self
    {
        return new self($name, $name, '', into: $name);
    }

    /** Whom to ask for first: a row of its own among the contacts, not a column. */
    public static function firstContact(string $name): self
    {
        return new self($name, 'text', '', 80);
    }

    /** Weekdays such as "1,4", Monday first; empty = any. */
    public static function weekdays(string $name): self
    {
        return new self($name, 'weekdays', '', into: $name);
    }

    /** It stands in a column of the table. */
    public function isKept(): bool
    {
        return $this->into !== '';
    }

    /** Yes or no, no where it is left out. */
    public static function yes(string $name, string $into): self
    {
        return new self(
            $name,
            'choice',
            'no',
            choices: ['no', 'yes'],
            into: $into,
            stored: ['no' => '0', 'yes' => '1'],
        );
    }

    /** A value of the file as it is kept. */
    public function kept(?string $value): ?string
    {
        // none of a number is none, of a text it is an empty one
        return $this->type === 'decimal' && $value === '' ? null : $this->stored[$value ?? ''] ?? $value;
    }

    /** A value that is kept as it stands in the file. */
    public function written(mixed $value): ?string
    {
        $text = is_scalar($value) ? (string) $value : '';

        return match (true) {
            $this->stored !== [] => (string) array_search($text, $this->stored, true),
            $this->type === 'date' && $text === '' => null,
            $this->type === 'decimal' && $text !== '' => Amount::plain($text),
            $this->type === 'prices' => (string) PriceBreaks::read($text)?->written(),
            default => $text,
        };
    }

    public static function whole(
        string $name,
        ?string $default = null,
        string $least = '0',
        string $most = '9999',
    ): self {
        return new self($name, 'decimal', $default, 0, $least, into: $name, most: $most);
    }

    /** A whole number, or none. */
    public static function wholeOrNone(string $name, string $most): self
    {
        return new self($name, 'decimal', '', 0, '0', into: $name, most: $most);
    }

    /** @param  list<string>  $choices */
    public static function choice(string $name, array $choices, ?string $default = null): self
    {
        return new self($name, 'choice', $default, choices: $choices, into: $name);
    }

    public static function date(string $name, ?string $default = null): self
    {
        return new self($name, 'date', $default, into: $name);
    }

    public static function time(string $name, ?string $default = null): self
    {
        return new self($name, 'time', $default, into: $name);
    }

    /** A value that stands in a column of a table, or of a file of the same import that fills it. */
    public static function refers(
        string $name,
        string $table,
        string $column,
        string $into,
        ?string $default = null,
    ): self {
        return new self($name, 'text', $default, 60, refers: [$table, $column], into: $into);
    }

    /**
     * The value as it is kept, or a sentence on what would be right.
     *
     * @return array{ok: bool, value: ?string}
     */
    public function read(string $typed, CarbonImmutable $today, ?WorkingCalendar $calendar): array
    {
        $typed = trim($typed);
        if ($typed === '') {
            return $this->default === null ? self::wrong('is empty and must be filled')
                : ['ok' => true, 'value' => $this->default === '' && $this->type === 'date' ? null : $this->default];
        }

        return match ($this->type) {
            'text' => mb_strlen($typed) <= $this->max
                ? self::right($typed)
                : self::wrong("has more than {$this->max} characters"),
            'code' => $this->readCode($typed),
            'prices' => self::readBy(fn (): string => (string) PriceBreaks::read($typed)?->written()),
            'phones' => self::readBy(fn (): string => implode('|', Ways::phones($typed))),
            'mails' => self::readBy(fn (): string => implode('|', Ways::mails($typed))),
            'weekdays' => self::readWeekdays($typed),
            'decimal' => $this->readDecimal($typed),
            'choice' => in_array($typed, $this->choices, true) ? self::right($typed)
                : self::wrong("'{$typed}' must be one of: ".implode(', ', $this->choices)),
            'time' => preg_match('/^([01]\d|2[0-3]):[0-5]\d$/', $typed) === 1 ? self::right($typed)
                : self::wrong("'{$typed}' must be a time such as 06:30"),
            default => $this->readDate($typed, $today, $calendar),
        };
    }

    /** @return array{ok: bool, value: ?string} */
    private static function readWeekdays(string $typed): array
    {
        if (preg_match('/^[1-7]([, |]+[1-7]){0,6}$/D', $typed) !== 1) {
            return self::wrong("'{$typed}' must be weekdays such as 1,4 for Monday and Thursday");
        }
        $days = array_unique(preg_split('/[, |]+/', $typed) ?: []);
        sort($days);

        return self::right(count($days) === 7 ? '' : implode(',', $days));
    }

    /**
     * @param  callable(): string  $read
     * @return array{ok: bool, value: ?string}
     */
    private static function readBy(callable $read): array
    {
        try {
            return self::right($read());
        } catch (Refused $refused) {
            return self::wrong(rtrim($refused->getMessage(), '.'));
        }
    }

    /** @return array{ok: bool, value: ?string} */
    private function readCode(string $typed): array
    {
        $wrong = Code::wrong($typed);

        return match (true) {
            $wrong !== null => self::wrong(rtrim($wrong, '.')),
            mb_strlen($typed) > $this->max => self::wrong("has more than {$this->max} characters"),
            default => self::right(Code::of($typed)->typed),
        };
    }

    /** @return array{ok: bool, value: ?string} */
    private function readDecimal(string $typed): array
    {
        $what = $this->max === 0 ? 'a whole number' : 'a number such as 2.5';
        if (preg_match('/^-?\d{1,11}(\.\d+)?$/', $typed) !== 1) {
            return self::wrong("'{$typed}' must be {$what}, with a point and no thousands sign");
        }
        $number = BigDecimal::of($typed)->stripTrailingZeros();

        return match (true) {
            $number->getScale() > $this->max => self::wrong($this->max === 0 ? "'{$typed}' must be {$what}"
                : "'{$typed}' has more than {$this->max} decimals"),
            $number->isLessThan($this->least) => self::wrong("'{$typed}' must be {$this->least} or more"),
            $number->isGreaterThan($this->most) => self::wrong("'{$typed}' must be {$this->most} or less"),
            default => self::right((string) $number->toScale(max(0, $number->getScale()))),
        };
    }

    /** @return array{ok: bool, value: ?string} "YYYY-MM-DD", "today", "today+5", "today-3wd" (working days) */
    private function readDate(string $typed, CarbonImmutable $today, ?WorkingCalendar $calendar): array
    {
        if (preg_match('/^today(?:([+-]\d{1,4})(wd)?)?$/', $typed, $part) === 1) {
            $days = (int) ($part[1] ?? 0);

            return self::right(
                isset($part[2]) && $calendar !== null
                    ? $calendar->workingDaysFrom($today->toDateString(), $days)
                    : $today->addDays($days)->toDateString(),
            );
        }
        if (
            preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $typed, $part) === 1
            && checkdate((int) $part[2], (int) $part[3], (int) $part[1])
        ) {
            return $typed >= '2000-01-01' && $typed <= '2099-12-31'
                ? self::right($typed)
                : self::wrong("'{$typed}' must be a day between 2000 and 2099");
        }

        return self::wrong("'{$typed}' must be a date such as 2027-03-28, or today+5");
    }

    /** @return array{ok: true, value: string} */
    private static function right(string $value): array
    {
        return ['ok' => true, 'value' => $value];
    }

    /** @return array{ok: false, value: string} */
    private static function wrong(string $says): array
    {
        return ['ok' => false, 'value' => $says];
    }
}
