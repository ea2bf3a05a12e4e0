<?php

namespace App\View;

use App\Queries\Builds\BuildPage;
use Illuminate\Http\Request;
use Illuminate\Support\ViewErrorBag;

/** What was typed into the form of a build: before it was refused, or before other pieces were asked about. */
final readonly class BuildForm
{
    private function __construct(private Request $request, private ViewErrorBag $errors, private BuildPage $page)
    {
    }

    public static function of(Request $request, BuildPage $page): self
    {
        $errors = session('errors');

        return new self($request, $errors instanceof ViewErrorBag ? $errors : new ViewErrorBag, $page);
    }

    public function to(): string
    {
        return $this->page->order === null
            ? route('builds.store')
            : route('builds.update', $this->page->order->id);
    }

    public function method(): string
    {
        return $this->page->order === null ? 'post' : 'put';
    }

    /** The page itself, for another number of pieces. */
    public function here(): string
    {
        return $this->page->order === null
            ? route('builds.create')
            : route('builds.show', $this->page->order->id);
    }

    /** @param  string  $key  "parts.10.quantity" */
    public function value(string $key, string $else = ''): string
    {
        $typed = old($key) ?? data_get($this->request->query(), $key);

        return is_string($typed) ? $typed : $else;
    }

    public function isTicked(string $key): bool
    {
        return $this->value($key) === '1';
    }

    public function isWrong(string $key): bool
    {
        return $this->errors->has($key);
    }

    /** "parts[10][quantity]" */
    public function name(string $list, int $key, ?string $field = null): string
    {
        return "{$list}[{$key}]".($field === null ? '' : "[{$field}]");
    }

    public function key(string $list, int $key, ?string $field = null): string
    {
        return "{$list}.{$key}".($field === null ? '' : ".{$field}");
    }
}
