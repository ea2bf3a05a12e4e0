<?php

use App\Access\Role;
use App\Actions\Usage\ProposeSlip;
use App\Http\Upload;
use App\Papers\Csv;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Route;
use KeepPace\Core\Quantity\QuantityRefused;

/*
 * What the application says of itself when an address, a method or a size is wrong: its own pages, with and without a
 * login, and no log.
 */

it('has pages of its own', function (string $method, string $uri, int $status, string $says, bool $loggedIn) {
    Log::shouldReceive('channel')->andReturnSelf();
    Log::shouldReceive('error')->never();
    $loggedIn ? $this->actingAs($this->shop->as(Role::Supervisor)) : null;
    $answer = $this->call($method, $uri);
    $answer
        ->assertStatus($status)
        ->assertSee($says)
        ->assertSee('Keep Pace')
        ->assertDontSee('Symfony')
        ->assertDontSee('Whoops');
    $loggedIn && $method === 'GET' ? $answer->assertSee('Find or scan') : null;
})->with([
    'no such page' => ['GET', '/no/such/page', 404, 'Not there'],
    'an id of too many digits' => ['GET', '/orders/99999999999999999999', 404, 'Not there'],
    'a method no page has' => ['PATCH', '/orders', 405, 'not asked for in this way'],
    'a deed asked for by its address' => ['DELETE', '/board', 405, 'not asked for in this way'],
])->with(['without a login' => [false], 'with one' => [true]]);

it('says the limit that holds when too much is sent', function () {
    Route::post('/too-much', fn () => throw new PostTooLargeException)->middleware('web');
    $this->post('/too-much')
        ->assertStatus(413)
        ->assertSee(Upload::words())
        ->assertSee('the most that can be sent at once');
    $most = Upload::limit();
    $this->actingAs($this->shop->as(Role::Planner))
        ->from('/import')
        ->post('/import', ['files' => [UploadedFile::fake()->create('items.csv', $most + 10)]]);
    expect(session('errors')->first('files.0'))->toBe('A file has '.Upload::say($most).' at most.');
    $this->from('/import')
        ->post('/import', ['files' => [new UploadedFile(__FILE__, 'items.csv', null, UPLOAD_ERR_INI_SIZE, true)]]);
    expect(session('errors')->first('files.0'))->toBe('A file has '.Upload::say($most).' at most.');
});

it('says one sentence of a comma, and names it', function (string $typed) {
    $this->actingAs($this->shop->as(Role::Buyer))
        ->from('/stock')
        ->post(
            '/stock',
            [
                'token' => 'a',
                'item' => 'SS-15',
                'quantity' => $typed,
                'price' => '7',
                'place_id' => '5',
                'codes' => 'H-1',
            ],
        );
    expect(session('errors')->get('quantity'))->toBe([QuantityRefused::saysOf($typed)])
        ->and(QuantityRefused::saysOf($typed))->toContain('has a comma');
})->with(['5,5', '1,000', '1.000,5', '-2,5']);

it('names a comma in a slip and in an import alike', function () {
    expect(QuantityRefused::noNumber('5,5')->getMessage())->toContain('5,5 has a comma')
        ->and(QuantityRefused::saysOf('5 5'))->not->toContain('comma');
});

it('lets no cell of a file become a formula', function (string $text, string $cell) {
    expect(Csv::cell($text))->toBe($cell);
})->with([
    'OWASP, CSV injection: equals' => ['=1+1', "'=1+1"],
    'plus' => ['+cmd', "'+cmd"],
    'minus' => ['-cmd', "'-cmd"],
    'at' => ['@SUM(A1)', "'@SUM(A1)"],
    'behind spaces' => ['  =1', "'  =1"], 'a tab first' => ["\t=1", "'\t=1"],
    'a number below zero stays one' => ['-12.50', '-12.50'],
    'one above' => ['+3', '+3'],
    'words' => ['Uncapping tray', 'Uncapping tray'],
    'nothing' => ['', ''],
]);

it('refuses what would take years, or cost more than there is', function () {
    $send = fn (string $uri, array $data) => $this
        ->actingAs($this->shop->as(Role::Supervisor))
        ->from('/x')
        ->post($uri, ['token' => bin2hex(random_bytes(5)), ...$data]);
    $send('/orders', ['item' => 'TRAY-40', 'quantity' => '999999999'])->assertSessionHasErrors('quantity');
    expect(session('errors')->first('quantity'))->toContain('years here');
    $send(
        '/stock',
        ['item' => 'BRG-25', 'quantity' => '999999999', 'price' => '9999999', 'place_id' => '5'],
    )->assertSessionHasErrors('price');
    $order = $this->shop->order('TRAY-40', '6');
    $this->put(
        "/order-steps/{$order->steps[0]->id}",
        [
            'token' => 'b',
            'version' => $order->version,
            'work_centre_id' => '1',
            'setup_minutes' => '99999',
            'run_rate' => '99999',
        ],
    )
        ->assertSessionHasNoErrors();
    $this->put(
        "/order-steps/{$order->steps[0]->id}",
        [
            'token' => 'c',
            'version' => $order->refresh()->version,
            'work_centre_id' => '1',
            'setup_minutes' => '99999',
            'run_rate' => '999999',
        ],
    )
        ->assertSessionHasErrors('run_rate');
});

it('puts goods nowhere but where goods can lie', function (string $code) {
    $place = $this->shop->place($code)->id;
    $this->actingAs($this->shop->as(Role::Supervisor));
    $this->from('/stock')
        ->post('/stock', ['token' => 'a', 'item' => 'BRG-25', 'quantity' => '5', 'price' => '7', 'place_id' => $place])
        ->assertSessionHasErrors('place_id');
    expect(session('errors')->first('place_id'))->toBe('Nothing can be put there. Choose one of the places offered.');
    $order = $this->shop->order('TRAY-40', '2');
    $this->shop->release($order);
    $this->shop->issueAll($order);
    $this->shop->workThrough($order);
    $this->from('/receive')
        ->post("/orders/{$order->id}/receive", ['token' => 'b', 'quantity' => '1', 'place_id' => $place])
        ->assertSessionHasErrors('place_id');
    $sheet = $this->shop->component($order, 'SS-15');
    $key = "{$sheet->id}-".DB::table('moves')->where('component_id', $sheet->id)->value('lot_id');
    $this->from('/returns')
        ->post(
            "/orders/{$order->id}/returns",
            ['token' => 'c', 'lines' => [$key => '1'], 'place_id' => $place, 'condition' => 'free', 'reason' => 'x'],
        )
        ->assertSessionHasErrors('place_id');
    $other = $this->shop->order('TRAY-40', '2');
    $this->shop->release($other);
    $slip = app(ProposeSlip::class)->handle(
        [$other->id],
        'whole',
        null,
        $this->shop->sign(Role::Storekeeper, token: 's'),
    );
    $line = $slip->lines()->firstOrFail()->id;
    $this->from('/issue')
        ->put(
            "/slips/{$slip->id}",
            [
                'token' => 'd',
                'version' => 1,
                'do' => 'keep',
                'lines' => [$line => [
                    'quantity' => '1',
                    'splits' => [['code' => '', 'quantity' => '1', 'place' => (string) $place]],
                ]],
            ],
        )
        ->assertSessionHasErrors("lines.{$line}.splits");
    expect($this->shop->differences())->toBe([]);
})->with(['SCRAP', 'CUSTOMERS', 'OUTSIDE', 'ORDERS', 'VARIANCE', 'BETWEEN']);
