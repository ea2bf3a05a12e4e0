<?php

use App\Access\Role;
use App\View\FormMark;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Route;
use Symfony\Component\HttpKernel\Exception\HttpException;

/* A page that had been open for so long that its key is none any more: nothing is booked, nothing typed is lost. */

beforeEach(function (): void {
    $gone = fn () => throw new HttpException(419, '', new TokenMismatchException);
    Route::middleware('web')->post('/open-for-long', $gone);
    Route::middleware('web')->post('/first-page', $gone)->name('login.store.again');
    Route::getRoutes()->refreshNameLookups();
    $this->buyer = $this->shop->as(Role::Buyer);
});

it('gives back what was typed, to the one who typed it', function () {
    $this->actingAs($this->buyer)->from('/purchases')
        ->post('/open-for-long', ['_by' => FormMark::of($this->buyer), 'quantity' => '12', 'note' => 'by Friday'])
        ->assertRedirect('/purchases')
        ->assertSessionHasInput('quantity', '12')
        ->assertSessionHasInput('note', 'by Friday')
        ->assertSessionHasErrors('refused');
    expect(session('errors')->first('refused'))->toContain('What you typed is still here');
});

it('gives nothing of it to somebody else', function (mixed $mark) {
    $mark = $mark === 'planner' ? FormMark::of($this->shop->as(Role::Planner)) : $mark;
    $this->actingAs($this->buyer)->from('/purchases')
        ->post('/open-for-long', ['_by' => $mark, 'quantity' => '12'])
        ->assertRedirect('/purchases')
        ->assertSessionMissing('_old_input');
    expect(session('errors')->first('refused'))->toContain('Somebody else had that page open here');
})->with(['planner', '', null]);

it('says so in words to a page that asks by script', function () {
    $this->actingAs($this->buyer)->postJson('/open-for-long', ['quantity' => '12'])
        ->assertStatus(419)
        ->assertExactJson(['refused' => ['The page had been open for long. Open it again: nothing was done yet.']]);
    Illuminate\Support\Facades\Auth::logout();
    $this->postJson('/open-for-long', ['quantity' => '12'])->assertStatus(401)->assertJsonFragment([
        'refused' => ['You are logged out. Log in again, then send it once more: nothing was done yet.'],
    ]);
});

it('keeps what was typed over the login, but for what is secret', function () {
    $this->from('/purchases')->post('/open-for-long', [
        '_by' => FormMark::of($this->buyer),
        'quantity' => '12',
        'password' => 'quiet-meadow',
        'token' => 'abc',
    ])->assertRedirect('/login');
    expect(session('typed_before'))->toMatchArray(['url' => '/purchases', 'by' => FormMark::of($this->buyer)])
        ->and(session('typed_before')['input'])->toHaveKey('quantity', '12')
        ->and(session('typed_before')['input'])->not->toHaveKey('password');
});

it('knows a mark by whose it is, and takes nothing else for one', function () {
    $planner = $this->shop->as(Role::Planner);
    expect(FormMark::isOf(FormMark::of($this->buyer), $this->buyer))->toBeTrue()
        ->and(FormMark::isOf(FormMark::of($planner), $this->buyer))->toBeFalse()
        ->and(FormMark::isOf('', $this->buyer))->toBeFalse()
        ->and(FormMark::isOf([FormMark::of($this->buyer)], $this->buyer))->toBeFalse()
        ->and(FormMark::of($this->buyer))->not->toContain((string) $this->buyer->id.'-')
        ->and(strlen(FormMark::of($this->buyer)))->toBe(20);
});

it('tells of a thing that was taken away meanwhile where it was to be changed', function () {
    $this->actingAs($this->shop->as(Role::Planner))->from('/orders')
        ->put('/orders/999999', ['token' => $this->shop->token(), 'version' => 1, 'quantity' => '7', 'rank' => '200'])
        ->assertRedirect('/orders')
        ->assertSessionHasInput('quantity', '7')
        ->assertSessionHasErrors(['refused' => 'That order is not there, or not any more. Nothing was done; what you '
            .'typed is still here.']);
    $this->get('/orders/999999')->assertNotFound();
    $this->get('/no-such-page')->assertNotFound();
});
