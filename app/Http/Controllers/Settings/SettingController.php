<?php

namespace App\Http\Controllers\Settings;

use App\Actions\Settings\KeepSettings;
use App\Http\Controllers\Controller;
use App\Http\Requests\Settings\SettingsRequest;
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
}
