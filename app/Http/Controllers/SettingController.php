<?php

namespace App\Http\Controllers;

use App\Actions\Settings\KeepNumberings;
use App\Actions\Settings\KeepReasons;
use App\Actions\Settings\KeepSettings;
use App\Http\Requests\NumberingsRequest;
use App\Http\Requests\ReasonsRequest;
use App\Http\Requests\SettingsRequest;
use App\Queries\Settings\SettingsPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** What the shop goes by: its constants, how it numbers, which reasons it offers. */
class SettingController extends Controller
{
    public function index(): View
    {
        return view('settings.index', ['page' => SettingsPage::now()]);
    }

    public function update(SettingsRequest $request, KeepSettings $keep): RedirectResponse
    {
        $version = $request->integer('version');

        return $this->done(back(), $keep->handle($request->settings(), $version, $request->signed()));
    }

    public function numberings(NumberingsRequest $request, KeepNumberings $keep): RedirectResponse
    {
        return $this->done(back(), $keep->handle($request->numberings(), $request->signed()));
    }

    public function reasons(ReasonsRequest $request, KeepReasons $keep): RedirectResponse
    {
        return $this->done(back(), $keep->handle($request->reasons(), $request->signed()));
    }
}
