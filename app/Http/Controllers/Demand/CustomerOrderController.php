<?php

namespace App\Http\Controllers\Demand;

use App\Actions\Demand\ChangeCustomerLine;
use App\Actions\Demand\EnterCustomerOrder;
use App\Http\Controllers\Controller;
use App\Http\Requests\Demand\CustomerLineRequest;
use App\Http\Requests\Demand\CustomerOrderRequest;
use App\Models\Customer;
use App\Queries\Demand\CustomerOrderList;
use App\Queries\Demand\CustomerOrderPage;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\PlantCalendar;
use App\Wording\When;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Customer orders and their lines. */
class CustomerOrderController extends Controller
{
    public function index(Request $request): View
    {
        $show = $request->string('show')->value();
        $show = array_key_exists($show, CustomerOrderList::SHOWS) ? $show : 'open';
        $text = mb_substr($request->string('text')->trim()->value(), 0, 60);

        return view('customer-orders.index', [
            'cut' => CustomerOrderList::page($show, $text),
            'shows' => CustomerOrderList::SHOWS,
            'show' => $show,
            'text' => $text,
            'address' => fn (string $show): string => route('customer-orders.index', array_filter([
                'show' => $show === 'open' ? '' : $show,
                'text' => $text,
            ])),
        ]);
    }

    public function create(): View
    {
        return view('customer-orders.create', [
            'customers' => Customer::offered(),
            // on a day that is worked
            'promise' => PlantCalendar::orEveryDay()
                ->workingDaysFrom(When::today()->addDays(Settings::whole(Setting::PromiseDays) - 1)->toDateString(), 1),
        ]);
    }

    public function store(CustomerOrderRequest $request, EnterCustomerOrder $enter): RedirectResponse
    {
        $booking = $enter->handle(
            [
                'customer_id' => $request->integer('customer_id'),
                'reference' => $request->string('reference')->value(),
                'ship_to' => $request->string('ship_to')->value(),
            ],
            $request->lines(),
            $request->signed(),
        );

        return $this->done(to_route('customer-orders.show', $booking->customer_order_id), $booking);
    }

    public function show(int $customerOrder): View
    {
        return view('customer-orders.show',
            ['page' => CustomerOrderPage::of($customerOrder) ?? abort(404, 'There is no such customer order.')]);
    }

    public function update(CustomerLineRequest $request, int $line, ChangeCustomerLine $change): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $change->handle(
                $line,
                (int) $typed['version'],
                $typed['quantity'],
                $typed['promised_on'],
                $request->signed(),
            ),
        );
    }
}
