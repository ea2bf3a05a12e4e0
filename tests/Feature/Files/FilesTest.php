<?php

use App\Access\Role;
use App\Files\FileStore;
use App\Files\FileType;
use App\Files\Picture;
use App\Models\Attachment;
use App\Models\KeptFile;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use KeepPace\Core\Refused;

/* Files that hang on items and partners: told by what is in them, pictures drawn anew, all else a download. */

beforeEach(fn () => Storage::fake('local'));

/** A picture of so many points, as JPEG or PNG. */
function drawn(int $width, int $height, string $as = 'jpeg'): string
{
    $image = imagecreatetruecolor($width, $height);
    imagefilledrectangle($image, 0, 0, intdiv($width, 2), $height, 0xFF0000);
    ob_start();
    $as === 'jpeg' ? imagejpeg($image) : imagepng($image);

    return (string) ob_get_clean();
}

/** With what a camera writes into it: Exif 2.32, an APP1 segment with Orientation (0x0112) and a maker (0x010F). */
function photographed(int $orientation, string $jpeg): string
{
    $maker = "Secret Maker\0";
    $tiff = 'MM'.pack('nN', 42, 8).pack('n', 2)
        .pack('nnN', 0x010F, 2, strlen($maker)).pack('N', 38)
        .pack('nnNnn', 0x0112, 3, 1, $orientation, 0)
        .pack('N', 0).$maker;
    $app1 = "Exif\0\0".$tiff;

    return "\xFF\xD8\xFF\xE1".pack('n', strlen($app1) + 2).$app1.substr($jpeg, 2);
}

function hang(object $test, string $content, string $kind, string $name = 'a.pdf'): Illuminate\Testing\TestResponse
{
    $tray = $test->shop->item('TRAY-40');

    return $test->actingAs($test->shop->as(Role::Buyer))->from("/items/{$tray->id}")->post("/items/{$tray->id}/files", [
        'token' => $test->shop->token(),
        'file' => UploadedFile::fake()->createWithContent($name, $content),
        'kind' => $kind,
    ]);
}

it('tells what a file is by what is in it, whatever it is called', function (string $content, ?FileType $type) {
    expect(FileType::of($content))->toBe($type);
})->with([
    'PDF' => ["%PDF-1.4\n%âãÏÓ\n1 0 obj\n", FileType::Pdf],
    'JPEG' => [fn () => drawn(4, 4), FileType::Jpeg],
    'PNG' => [fn () => drawn(4, 4, 'png'), FileType::Png],
    'a STEP model (ISO 10303-21)' => ["ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\n", FileType::Text],
    'a page' => ['<!DOCTYPE html><html><script>alert(1)</script></html>', null],
    'an SVG drawing, which can hold a script' => [
        '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"><script/></svg>',
        null,
    ],
    'a program' => ["\x7fELF\x02\x01\x01\0\0\0\0\0\0\0\0\0\x02\0\x3e\0", null],
    'an archive' => ["PK\x03\x04\x14\0\0\0\0\0", null],
]);

it('draws a picture anew, upright and without what the camera wrote', function () {
    $photo = photographed(6, drawn(40, 20));
    expect($photo)->toContain('Secret Maker')->and(exif_read_data(fopen('data://image/jpeg;base64,'
        .base64_encode($photo), 'rb'))['Orientation'])->toBe(6);
    $kept = Picture::drawnAnew($photo, FileType::Jpeg);
    // Exif: 6 = the 0th row is the right-hand side; upright it is 20 wide and 40 high, red at the top
    expect([$kept->width, $kept->height])->toBe([20, 40])->and($kept->content)->not->toContain('Secret Maker');
    $image = imagecreatefromstring($kept->content);
    expect(imagecolorat($image, 10, 5) >> 16 & 0xFF)->toBeGreaterThan(200)
        ->and(imagecolorat($image, 10, 35) >> 16 & 0xFF)->toBeLessThan(60);
});

it('keeps a picture no larger than a screen shows, and refuses one that is none', function () {
    $kept = Picture::drawnAnew(drawn(4800, 1200, 'png'), FileType::Png);
    expect([$kept->width, $kept->height])->toBe([2400, 600]);
    $broken = substr(drawn(400, 400, 'png'), 0, 60);
    expect(fn () => Picture::drawnAnew($broken, FileType::Png))->toThrow(Refused::class, 'cannot be drawn');
    // the head of a PNG that claims 20,000 by 20,000 (ISO 15948, IHDR)
    $ihdr = 'IHDR'.pack('NNCCCCC', 20000, 20000, 8, 2, 0, 0, 0);
    $huge = "\x89PNG\r\n\x1a\n".pack('N', 13).$ihdr.pack('N', crc32($ihdr));
    expect(fn () => Picture::drawnAnew($huge, FileType::Png))->toThrow(Refused::class, '400 megapixels; 40 are');
});

it('hangs a drawing on an item, sends it as a download and takes it off', function () {
    hang($this, "%PDF-1.4\n1 0 obj\n", 'drawing', 'tray "B".pdf')->assertSessionHasNoErrors();
    $attachment = Attachment::query()->sole();
    $this->get("/items/{$attachment->item_id}")->assertSee('tray  B .pdf')->assertSee('drawing from nothing to tray');
    $file = $this->get("/files/{$attachment->id}")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    expect($file->headers->get('Content-Disposition'))->toStartWith('attachment;')
        ->and($file->headers->get('X-Content-Type-Options'))->toBe('nosniff')
        ->and($file->getContent())->toStartWith('%PDF-1.4');
    hang($this, "%PDF-1.4\n1 0 obj\n", 'drawing')->assertSessionHasErrors('file'); // the very file
    $this->delete("/files/{$attachment->id}", ['token' => 'off'])->assertSessionHas('done');
    $this->get("/files/{$attachment->id}")->assertNotFound();
    $this->delete("/files/{$attachment->id}", ['token' => 'again'])->assertSessionHasErrors('refused');
    expect(app(FileStore::class)->get($attachment->file->hash))->not->toBeNull('the file itself stays');
});

it('shows one picture, the newest', function () {
    hang($this, drawn(40, 20), 'picture', 'old.jpg')->assertSessionHasNoErrors();
    hang($this, drawn(60, 20), 'picture', 'new.jpg')->assertSessionHasNoErrors();
    $shown = Attachment::query()->whereNull('taken_off_id')->sole();
    expect($shown->name)->toBe('new.jpg')->and(KeptFile::query()->findOrFail($shown->file_id)->width)->toBe(60);
    $this->get("/files/{$shown->id}")->assertHeader('Content-Type', 'image/jpeg')
        ->assertHeader('Content-Disposition', 'inline; filename=new.jpg');
    $this->get("/items/{$shown->item_id}")->assertSee('src="'.route('files.show', $shown->id).'"', false);
});

it('keeps a file once however often it hangs', function () {
    hang($this, "G1 X10\n", 'drawing', 'a.txt')->assertSessionHasNoErrors();
    hang($this, "G1 X10\n", 'certificate', 'b.txt')->assertSessionHasNoErrors();
    expect(KeptFile::query()->count())->toBe(1)->and(Attachment::query()->count())->toBe(2);
});

it('refuses what cannot hang, beside the file', function (string $content, string $kind, string $says) {
    hang($this, $content, $kind)->assertSessionHasErrors('file');
    expect(session('errors')->first('file'))->toContain($says)->and(Attachment::query()->count())->toBe(0);
})->with([
    'a page' => ['<!DOCTYPE html><html><script>alert(1)</script></html>', 'drawing', 'none of what can hang here'],
    'a text as a picture' => ["bend 90\n", 'picture', 'Only a picture'],
    'nothing' => ['', 'drawing', 'none of what can hang here'],
    'more than 10 MB' => [fn () => str_repeat('x', 10_486_000), 'drawing', 'MB at most'],
]);

it('lets nobody hang or take off what he may not change, and reads nothing without a login', function () {
    hang($this, "bend 90\n", 'drawing', 'a.txt')->assertSessionHasNoErrors();
    $file = Attachment::query()->sole();
    $this->actingAs($this->shop->as(Role::Sales));
    $this->get("/files/{$file->id}")->assertOk();
    $this->post("/items/{$file->item_id}/files", ['token' => 'x'])->assertForbidden();
    $this->delete("/files/{$file->id}", ['token' => 'x'])->assertForbidden();
    Auth::logout();
    $this->get("/files/{$file->id}")->assertRedirect('/login');
});

it('shows the instruction of a step at its station, and of no other step', function () {
    $order = $this->shop->order('TRAY-40', '2');
    $this->shop->release($order);
    $step = $order->steps()->orderBy('number')->firstOrFail();
    $tray = $this->shop->item('TRAY-40');
    $hangFor = fn (?int $step, string $name, string $content): Illuminate\Testing\TestResponse => $this
        ->actingAs($this->shop->as(Role::Planner))
        ->post("/items/{$tray->id}/files", [
            'token' => $this->shop->token(),
            'file' => UploadedFile::fake()->createWithContent($name, $content),
            'kind' => 'instruction',
            'step' => $step === null ? null : (string) $step,
        ])
        ->assertSessionHasNoErrors();
    $hangFor($step->number, 'corner.png', drawn(40, 20, 'png'));
    $hangFor($step->number + 10, 'later.pdf', "%PDF-1.4\n2 0 obj\n");
    $hangFor(null, 'always.pdf', "%PDF-1.4\n3 0 obj\n");
    $this->get("/station/{$step->work_centre_id}")->assertOk()
        ->assertSee('alt="corner.png"', false)
        ->assertSee('always.pdf')
        ->assertDontSee('later.pdf');
    $this->get("/routings/{$order->routing_id}")
        ->assertSee("instruction of step {$step->number}")
        ->assertSee('later.pdf');
});

it('asks for a step that there can be', function () {
    $tray = $this->shop->item('TRAY-40');
    $this->actingAs($this->shop->as(Role::Planner))->post("/items/{$tray->id}/files", [
        'token' => $this->shop->token(),
        'file' => UploadedFile::fake()->createWithContent('a.pdf', "%PDF-1.4\n"),
        'kind' => 'instruction',
        'step' => '10000',
    ])->assertSessionHasErrors('step');
});

it('shows the drawing at the station where the piece is made', function () {
    hang($this, "bend 90\n", 'drawing', 'tray bends.txt')->assertSessionHasNoErrors();
    $order = $this->shop->order('TRAY-40', '2');
    $this->shop->release($order);
    $centre = DB::table('order_steps')->where('order_id', $order->id)->orderBy('number')->value('work_centre_id');
    $this->actingAs($this->shop->as(Role::Operator))->get("/station/{$centre}")->assertSee('tray bends.txt');
});
