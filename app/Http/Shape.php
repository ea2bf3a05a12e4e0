<?php

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Route;

/**
 * The shape of what a request may send: texts without control characters, and lists only where the route's form has
 * them.
 */
final readonly class Shape
{
    private const BUILD = ['parts.*.*', 'back.*.*', 'minutes.*'];

    /** By route: what is a list, a star for each of its places. All else is one text. */
    private const LISTS = [
        'covers.store' => ['lines.*'],
        'customer-orders.store' => ['lines.*.*'],
        'ship.store' => ['lines.*.*'],
        'returns.store' => ['lines.*'],
        'receive.store' => ['beside.*.*'],
        'receive.ship' => ['beside.*.*'],
        'receive.issue' => ['beside.*.*'],
        'builds.create' => self::BUILD,
        'builds.show' => self::BUILD,
        'builds.store' => self::BUILD,
        'builds.update' => self::BUILD,
        'builds.ship' => self::BUILD,
        'apart.store' => ['parts.*.*'],
        'combine.store' => ['lines.*', 'orders.*'],
        'set-ups.store' => ['steps.*'],
        'slips.store' => ['orders.*'],
        'slips.update' => ['lines.*.*', 'lines.*.splits.*.*'],
        'slips.picked' => ['picked.*'],
        'issue.index' => ['orders.*'],
        'release.store' => ['orders.*'],
        'purchases.store' => ['items.*.*', 'only.*'],
        'deliveries.store' => ['lines.*.*', 'other.*.*'],
        'bills.store' => ['lines.*.*', 'charges.*.*'],
        'bills.accept' => ['holds.*'],
        'work.store' => ['steps.*'],
        'send-outs.store' => ['steps.*.*', 'parts.*.*', 'components.*.*'],
        'outside.store' => ['used.*'],
        'made.store' => ['parts.*.*'],
        'chase.days' => ['lines.*.*', 'back.*.*'],
        'purchase-orders.update' => ['lines.*.*'],
        'purchase-orders.answer' => ['lines.*.*'],
        'calendars.update' => ['week.*.*', 'remove.*'],
        'bookings.lines' => ['moves.*'],
        'import.store' => ['files.*'],
        'take-out.store' => ['kinds.*'],
        'items.store' => ['units.*.*', 'sources.*.*', 'called.*.*', 'substitutes.*.*', 'sold.*.*'],
        'items.update' => ['units.*.*', 'sources.*.*', 'called.*.*', 'substitutes.*.*', 'sold.*.*'],
        'structures.update' => ['lines.*.*', 'back.*.*'],
        'routings.update' => ['lines.*.*'],
        'centres.store' => ['table.*.*'],
        'centres.update' => ['table.*.*'],
        'customers.store' => ['contacts.*.*'],
        'customers.update' => ['contacts.*.*'],
        'suppliers.store' => ['contacts.*.*', 'orders_on.*', 'delivers_on.*'],
        'suppliers.update' => ['contacts.*.*', 'orders_on.*', 'delivers_on.*'],
        'units.update' => ['units.*.*'],
        'places.update' => ['places.*.*'],
        'crews.update' => ['crews.*.*'],
        'standards.store' => ['costs.*', 'seen.*', 'only.*'],
        'people.store' => ['roles.*'],
        'people.update' => ['roles.*'],
    ];

    /**
     * @param  array<array-key, mixed>  $input
     * @param  list<string>  $lists
     */
    private function __construct(private array $input, private array $lists)
    {
    }

    public static function of(Request $request): self
    {
        return new self([...$request->query->all(), ...$request->request->all(), ...$request->allFiles()],
            self::LISTS[(string) Route::currentRouteName()] ?? []);
    }

    /**
     * The fields of a route's form that are lists.
     *
     * @return list<string>
     */
    public static function listsOf(string $route): array
    {
        return array_values(array_unique(array_map(
            fn (string $list): string => explode('.', $list)[0],
            self::LISTS[$route] ?? [],
        )));
    }

    /** @return array<string, string> a sentence by field */
    public function wrong(): array
    {
        $wrong = [];
        $this->walk($this->input, '', '', $wrong);

        return $wrong;
    }

    /**
     * What of it can be put back into its form.
     *
     * @return array<array-key, mixed>
     */
    public function right(): array
    {
        $wrong = [];

        return $this->walk($this->input, '', '', $wrong);
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @param  array<string, string>  $wrong  filled
     * @return array<array-key, mixed> those that are right
     */
    private function walk(array $values, string $path, string $pattern, array &$wrong): array
    {
        $right = [];
        foreach ($values as $name => $value) {
            $at = ltrim("{$path}.{$name}", '.');
            $of = $path === '' ? (string) $name : $this->step($pattern, (string) $name);
            $says = $this->says($name, $value, $of);
            if ($says !== null) {
                $wrong[self::field($at)] = $says;
            } else {
                $right[$name] = is_array($value) ? $this->walk($value, $at, $of, $wrong) : $value;
            }
        }

        return $right;
    }

    /** The name itself where a form names it, else a star for a place in a list. */
    private function step(string $pattern, string $name): string
    {
        foreach ($this->lists as $list) {
            if ($list === "{$pattern}.{$name}" || str_starts_with($list, "{$pattern}.{$name}.")) {
                return "{$pattern}.{$name}";
            }
        }

        return "{$pattern}.*";
    }

    private function says(int|string $name, mixed $value, string $pattern): ?string
    {
        if (! self::isText((string) $name)) {
            return 'The name of a field cannot be read.';
        }
        $below = array_filter($this->lists, fn (string $list): bool => str_starts_with($list, "{$pattern}."));
        if (is_array($value)) {
            return $below === [] ? 'One value is wanted here, not a list.' : null;
        }
        if ($value instanceof UploadedFile || $value === null || $value === '') {
            return null;
        }
        if (! in_array($pattern, $this->lists, true) && $below !== []) {
            return 'A list is wanted here, not one value.';
        }

        return is_string($value) && ! self::isText($value)
            ? 'This holds characters that cannot be read. Type it again.'
            : null;
    }

    /** UTF-8 without control characters but line ends and tabs. */
    private static function isText(string $text): bool
    {
        return preg_match('/^[^\x00-\x08\x0B\x0C\x0E-\x1F\x7F\x{80}-\x{9F}\x{FFFE}\x{FFFF}]*$/u', $text) === 1;
    }

    /** A field's name that can stand in a page. */
    private static function field(string $at): string
    {
        return self::isText($at) ? mb_substr($at, 0, 80) : 'refused';
    }
}
