<?php

namespace App\View\Components;

use App\Models\Person;
use App\Queries\Board\PlanAge;
use App\Shop\ShopClock;
use App\View\Bar\Page;
use App\View\Bar\Subject;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;
use Illuminate\View\Component;

/** The head of each page: the subjects a person works in, and in a second row the pages of the one that is open. */
class Bar extends Component
{
    /** Where a request keeps how far the plan was when it began. */
    public const PLAN = 'plan-age';

    public readonly Person $user;

    public readonly ShopClock $clock;

    public readonly PlanAge $plan;

    public readonly ?Page $page;

    /** @var list<Subject> */
    public readonly array $subjects;

    /** @var list<Page> */
    public readonly array $pages;

    public function __construct(public readonly Request $request)
    {
        $user = $request->user();
        abort_unless($user instanceof Person, 401);
        $this->user = $user;
        $this->clock = ShopClock::now();
        $plan = $request->attributes->get(self::PLAN);
        $this->plan = $plan instanceof PlanAge ? $plan : PlanAge::now();
        $this->page = Page::at(Route::currentRouteName());
        $this->subjects = $this->subjects();
        $this->pages = $this->page === null ? [] : $this->page->subject()->pages($user);
    }

    public function render(): View
    {
        return view('components.bar');
    }

    public function address(Subject $subject): string
    {
        return route($subject->pages($this->user)[0]->value);
    }

    /** As ARIA has it. */
    public function isOpen(Subject $subject): string
    {
        return $this->page?->subject() === $subject ? 'true' : 'false';
    }

    public function isPage(Page $page): string
    {
        return $this->page === $page ? 'page' : 'false';
    }

    public function hasSecondRow(): bool
    {
        return count($this->pages) > 1;
    }

    public function typedToFind(): string
    {
        $typed = $this->request->routeIs('find') ? $this->request->query('q') : '';

        return is_string($typed) ? $typed : '';
    }

    /** @return list<Subject>  those of the role, and that of a page it was led to */
    private function subjects(): array
    {
        $of = Subject::of($this->user->roles());
        $open = $this->page?->subject();

        return array_values(array_filter(
            Subject::cases(),
            fn (Subject $subject): bool => (in_array($subject, $of, true) || $subject === $open)
                && $subject->pages($this->user) !== [],
        ));
    }
}
