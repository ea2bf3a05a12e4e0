<?php

namespace App\Providers;

use App\Access\Deed;
use App\Actions\Purchasing\RaiseParts;
use App\Actions\Purchasing\RaiseWork;
use App\Actions\Schedule\SearchAsked;
use App\Books\Booked;
use App\Books\JustBooked;
use App\Jobs\RunSearch;
use App\Models\Person;
use App\Planner\KeepUp;
use App\Settings\Settings;
use App\Shop\PlantDay;
use App\View\FormMark;
use App\View\Printed;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Routing\Events\RouteMatched;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(KeepUp::class);
        $this->app->scoped(JustBooked::class);
        $this->app->scoped(Settings::class);
        $this->app->scoped(PlantDay::class);
    }

    public function boot(): void
    {
        Event::listen(SearchAsked::class, fn (SearchAsked $asked) => RunSearch::dispatch($asked->searchId));
        Event::listen(Booked::class, KeepUp::class.'@after');
        Event::listen(Booked::class, RaiseWork::class.'@after');
        Event::listen(Booked::class, RaiseParts::class.'@after');
        Event::listen(RouteMatched::class, fn () => $this->app->make(JustBooked::class)->begin());
        Model::shouldBeStrict(! $this->app->environment('production'));
        foreach (Deed::cases() as $deed) {
            Gate::define($deed->value, fn (Person $user): bool => $user->may($deed));
        }
        View::share('print', new Printed);
        // views are written with room; what is sent has little of it, or a list would be 60 % larger. One space stays:
        // the end of a line is lost where a directive stands before it
        Blade::prepareStringsForCompilationUsing(
            fn (string $view): string => (string) preg_replace('/^[ \t]+/m', ' ', $view),
        );
        // a token makes a form safe to send twice; nothing is booked under a refused one, so each page shows new ones
        Blade::directive('token', fn (string $form): string => '<?php echo '.FormMark::class."::fields({$form}); ?>");
    }
}
