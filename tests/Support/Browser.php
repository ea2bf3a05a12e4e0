<?php

namespace Tests\Support;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Symfony\Component\Process\Process;

/** A person at a browser: finds things by label, words or role, and waits for text, never for time. */
final class Browser
{
    public readonly RemoteWebDriver $driver;

    /** Which of these can be seen: nothing of a part that is folded in. */
    private const SHOWN = <<<'JS'
        return arguments[0].map(
            (node) => node.checkVisibility({ visibilityProperty: true }) && node.getClientRects().length > 0,
        );
        JS;

    /** Milliseconds between two looks for what is waited for. */
    private const LOOKS_EVERY = 40;

    /** Of this process of the suite, begun by the first test that needs it. */
    private static ?self $first = null;

    private function __construct(private readonly Process $chromedriver, int $port, private readonly string $profile)
    {
        $options = (new ChromeOptions)->setBinary(__DIR__.'/chromium.sh')
            ->addArguments(['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
                '--disable-dev-shm-usage',
                "--user-data-dir={$this->profile}",
            ]);
        $this->driver = RemoteWebDriver::create(
            "http://127.0.0.1:{$port}",
            DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options),
        );
    }

    private string $base = '';

    /** A browser somebody has just opened: one window, nothing remembered. */
    public static function at(string $base): self
    {
        try {
            $browser = self::$first?->emptied() ?? self::started();
        } catch (WebDriverException) {
            self::$first?->end(); // it broke in the test before
            $browser = self::started();
        }
        $browser->base = $base;

        return self::$first = $browser;
    }

    private static function started(): self
    {
        $port = Ports::free();
        $chromedriver = new Process(['chromedriver', "--port={$port}"], null, null, null, null);
        $chromedriver->start();
        for ($i = 0; $i < 500 && ! Ports::answers($port); $i++) {
            usleep(10_000);
        }
        $profile = sys_get_temp_dir().'/keep-pace-browser-'.bin2hex(random_bytes(6));
        $browser = new self($chromedriver, $port, $profile);
        register_shutdown_function($browser->end(...));

        return $browser->sized();
    }

    private function emptied(): self
    {
        $tabs = $this->driver->getWindowHandles();
        foreach ($tabs as $i => $tab) {
            $this->driver->switchTo()->window($tab);
            $i === count($tabs) - 1 ? $this->driver->get('about:blank') : $this->driver->close();
        }
        (new ChromeDevToolsDriver($this->driver))->execute('Network.clearBrowserCookies');

        return $this->sized();
    }

    private function sized(): self
    {
        $this->driver->manage()->window()->setSize(new WebDriverDimension(1280, 900));

        return $this;
    }

    /** What runs is ended when the process of the suite is, or by who began it for himself. */
    public function end(): void
    {
        if (! $this->chromedriver->isRunning()) {
            return;
        }
        self::$first = null;
        try {
            $this->driver->quit();
        } catch (WebDriverException) {
            // it is gone already
        } finally {
            $this->chromedriver->stop(2);
            (new Process(['rm', '-rf', $this->profile]))->run();
        }
    }

    public function visit(string $path): self
    {
        $this->driver->get($this->base.$path);

        return $this;
    }

    /** Logs in as everybody does, by typing. */
    public function loginByHand(string $as): self
    {
        $this->loggedOut();
        $this->visit('/login')->fill('Login', $as)->fill('Password', 'pace')->press('Log in');
        $this->driver
            ->wait(10, self::LOOKS_EVERY)
            ->until(fn (): bool => ! str_ends_with($this->driver->getCurrentURL(), '/login'), "{$as} is not let in");

        // a role begins where it works; a story begins at Today
        return $this->visit('/')->see(' can be released');
    }

    /** Is logged in, at Today: with a session that was begun beside. */
    public function login(string $as): self
    {
        $this->loggedOut();
        $beside = new Page($this->base);
        $beside->send('/login', ['login' => $as, 'password' => 'pace']);
        foreach ($beside->cookies() as $name => $value) {
            (new ChromeDevToolsDriver($this->driver))->execute('Network.setCookie', [
                'name' => $name,
                'value' => $value,
                'url' => $this->base,
                'httpOnly' => true,
            ]);
        }

        return $this->visit('/')->see(' can be released');
    }

    private function loggedOut(): void
    {
        // a request that is still under way would bring its cookie back
        $this->driver->get('about:blank');
        (new ChromeDevToolsDriver($this->driver))->execute('Network.clearBrowserCookies');
    }

    /** Types into the field with this label (its own or its aria-label). */
    public function fill(string $label, string $text, int $nth = 0): self
    {
        $field = $this->field($label, $nth);
        if ($field->getAttribute('type') === 'date') {
            $this->driver->executeScript(
                'arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event("input", {bubbles: true}))',
                [$field, $text],
            );
        } else {
            $field->clear()->sendKeys($text);
        }

        return $this;
    }

    public function field(string $label, int $nth = 0): RemoteWebElement
    {
        $isField = "(self::input or self::textarea or self::select) and not(@type='hidden')";
        $isNamed = "@aria-label='{$label}' or @id=//label[normalize-space()='{$label}']/@for"
            ." or ancestor::label[contains(normalize-space(), '{$label}')]";
        $path = "//*[{$isField} and ({$isNamed})]";
        $this->driver
            ->wait(10, self::LOOKS_EVERY)
            ->until(
                fn (): bool => count($this->driver->findElements(WebDriverBy::xpath($path))) > $nth,
                "No field {$label} on {$this->driver->getCurrentURL()}",
            );

        return $this->driver->findElements(WebDriverBy::xpath($path))[$nth];
    }

    /** Presses the button or link whose words begin so. */
    public function press(string $words, int $nth = 0): self
    {
        $path = "//*[(self::button or self::a or self::summary) and starts-with(normalize-space(), \"{$words}\")]";
        $shown = function () use ($path): array {
            $found = $this->driver->findElements(WebDriverBy::xpath($path));
            $isShown = $found === [] ? [] : (array) $this->driver->executeScript(self::SHOWN, [$found]);

            return array_values(array_filter($found, fn (int $i): bool => $isShown[$i], ARRAY_FILTER_USE_KEY));
        };
        $this->driver
            ->wait(10, self::LOOKS_EVERY)
            ->until(
                fn (): bool => count($shown()) > $nth,
                "Nothing to press called {$words} on {$this->driver->getCurrentURL()}",
            );
        $element = $shown()[$nth];
        $this->driver->executeScript('arguments[0].scrollIntoView({block: "center", behavior: "instant"})', [$element]);
        $element->click();

        return $this;
    }

    /** Takes hold at a point of the window and moves to another, still holding. */
    public function drag(int $x, int $y, int $toX, int $toY): self
    {
        $move = fn (int $x, int $y): array => [
            'type' => 'pointerMove',
            'duration' => 60,
            'origin' => 'viewport',
            'x' => $x,
            'y' => $y,
        ];

        return $this->pointer([
            $move($x, $y),
            ['type' => 'pointerDown', 'button' => 0],
            $move($x + 8, $y),
            $move($toX, $toY),
        ]);
    }

    public function drop(): self
    {
        return $this->pointer([['type' => 'pointerUp', 'button' => 0]]);
    }

    public function see(string $text): self
    {
        try {
            $this->driver->wait(10, self::LOOKS_EVERY)->until(fn (): bool => str_contains($this->text(), $text));
        } catch (TimeoutException) {
            throw new \RuntimeException(
                "'{$text}' is not on {$this->driver->getCurrentURL()}: ".mb_substr($this->text(), 0, 1500),
            );
        }

        return $this;
    }

    public function text(): string
    {
        return (string) $this->driver->executeScript('return document.body ? document.body.innerText : ""');
    }

    public function value(string $label, int $nth = 0): string
    {
        return (string) $this->field($label, $nth)->getAttribute('value');
    }

    /**
     * Presses keys wherever the focus is, as a keyboard does; it needs no element, which may just be going.
     *
     * @param  string|list<string>  ...$strokes  the letters of a text one after the other, or keys held together
     */
    public function keys(string|array ...$strokes): self
    {
        $actions = [];
        foreach ($strokes as $stroke) {
            $keys = is_array($stroke) ? [$stroke] : array_chunk(mb_str_split($stroke), 1);
            foreach ($keys as $held) {
                foreach ($held as $key) {
                    $actions[] = ['type' => 'keyDown', 'value' => $key];
                }
                foreach (array_reverse($held) as $key) {
                    $actions[] = ['type' => 'keyUp', 'value' => $key];
                }
            }
        }

        return $this->act(['type' => 'key', 'id' => 'keyboard', 'actions' => $actions]);
    }

    /** @param  list<array<string, mixed>>  $actions */
    private function pointer(array $actions): self
    {
        return $this->act([
            'type' => 'pointer',
            'id' => 'mouse',
            'parameters' => ['pointerType' => 'mouse'],
            'actions' => $actions,
        ]);
    }

    /** @param  array<string, mixed>  $device  an input device and what it does, as W3C WebDriver has them */
    private function act(array $device): self
    {
        $this->driver->executeCustomCommand('/session/:sessionId/actions', 'POST', ['actions' => [$device]]);

        return $this;
    }
}
