<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use stdClass;
use Throwable;

/**
 * A real Chromium on the served application; every test is a new visitor with a garden of its own. The browser stays open from test to
 * test, because starting one takes longer than most tests; what a visitor leaves behind in it is cleared.
 */
abstract class BrowserTestCase extends TestCase
{
    public RemoteWebDriver $browser;

    private int $width = 1280;

    /** Where ChromeDriver listens: one for all tests of a process. */
    private static ?int $port = null;

    private static ?RemoteWebDriver $open = null;

    /** Chromium without windows, tabs and menus, where it is installed: the same tests take it a third less work. */
    private const SHELL = '/usr/lib/chromium/chromium-headless-shell';

    /** @var ?resource */
    private static $shell = null;

    /** What it keeps, thrown away with it. */
    private static string $profile = '';

    /** @var list<string> scripts that run on each page of this test */
    private array $scripts = [];

    /** The one of them that lets no code be kept. */
    private string $unkept = '';

    protected function setUp(): void
    {
        self::$port ??= $this->driver();
        self::$open ??= $this->open(self::$port, 1280, 800);
        $this->browser = self::$open;
        // Most tests need neither code kept on the device nor the code of other screens, and both take time.
        $this->unkept = $this->onEachPage('navigator.serviceWorker.register = () => new Promise(() => {}); window.requestIdleCallback = () => 0;');
        $this->onEachPage('{ window.stillAsked = 0; const ask = window.fetch;
            window.fetch = (...asked) => { stillAsked++; return ask(...asked).finally(() => stillAsked--); }; }');
        // Menus that slide take a seventh of these tests' time: three visitors in four ask for less motion. The seed says which.
        if (crc32(getenv('JOLLY_SEED').$this->nameWithDataSet()) % 4 !== 0) {
            $this->lessMotion();
        }
    }

    /** As somebody who asks their device for less motion. */
    public function lessMotion(): void
    {
        $this->devTools('Emulation.setEmulatedMedia', ['media' => '', 'features' => [['name' => 'prefers-reduced-motion', 'value' => 'reduce']]]);
    }

    /** Pages opened from now on keep their code on the device, as they do for everybody: for tests without a server. */
    public function keepingCode(): void
    {
        $this->devTools('Page.removeScriptToEvaluateOnNewDocument', ['identifier' => $this->unkept]);
    }

    /** @return string what the script is known by */
    private function onEachPage(string $source): string
    {
        return $this->scripts[] = (string) $this->devTools('Page.addScriptToEvaluateOnNewDocument', ['source' => $source])['identifier'];
    }

    protected function tearDown(): void
    {
        if (! isset($this->browser)) {
            return;
        }
        try {
            $this->clear();
        } catch (Throwable) {
            // A browser that cannot be cleared is closed; the next test opens another.
            self::close();
        }
    }

    /** As a browser that was never here, except for its cache of files. */
    private function clear(): void
    {
        [$first, $others] = [$this->browser->getWindowHandles()[0], array_slice($this->browser->getWindowHandles(), 1)];
        foreach ($others as $window) {
            $this->browser->switchTo()->window($window)->close();
        }
        $this->browser->switchTo()->window($first);
        $this->browser->get('about:blank');
        foreach ($this->scripts as $script) {
            $this->devTools('Page.removeScriptToEvaluateOnNewDocument', ['identifier' => $script]);
        }
        $this->devTools('Network.setBlockedURLs', ['urls' => []]);
        $this->devTools('Network.emulateNetworkConditions', [
            'offline' => false, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1,
        ]);
        $this->devTools('Storage.clearDataForOrigin', ['origin' => $this->url(), 'storageTypes' => 'all']);
        $this->devTools('Network.clearBrowserCookies');
        $this->devTools('Emulation.clearDeviceMetricsOverride');
        $this->devTools('Emulation.setEmulatedMedia', ['media' => '', 'features' => []]);
        $this->browser->manage()->getLog('browser');
    }

    private static function close(): void
    {
        try {
            self::$open?->quit();
        } catch (Throwable) {
            // It is gone already.
        }
        self::$open = null;
        if (self::$shell !== null) {
            proc_terminate(self::$shell);
            proc_close(self::$shell);
            self::$shell = null;
        }
        // Its helpers write a moment longer than it.
        exec('for again in 1 2 3 4 5; do rm -rf '.escapeshellarg(self::$profile).' 2>/dev/null && break; sleep 0.2; done');
    }

    /**
     * @param  array<string, mixed>  $parameters
     * @return mixed what Chromium's developer tools answer
     */
    public function devTools(string $command, array $parameters = []): mixed
    {
        return $this->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => $command,
            'params' => $parameters === [] ? new stdClass() : $parameters,
        ]);
    }

    private function driver(): int
    {
        $port = $this->freePort();
        $nothing = ['file', '/dev/null', 'w'];
        $driver = proc_open(['/usr/bin/chromedriver', "--port={$port}"], [1 => $nothing, 2 => $nothing], $pipes)
            ?: throw new RuntimeException('ChromeDriver did not start.');
        register_shutdown_function(function () use ($driver): void {
            self::close();
            proc_terminate($driver);
        });

        return $port;
    }

    public function visit(string $path = '/', int $width = 1280, int $height = 800): void
    {
        $this->resize($width, $height);
        $this->browser->get($this->url().$path);
    }

    private function resize(int $width, int $height): void
    {
        $this->width = $width;
        $this->devTools('Emulation.setDeviceMetricsOverride', [
            'width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => $width < 500,
        ]);
    }

    /** Waits until the page asks for nothing, says that it is busy with nothing, and stands still. */
    public function settle(): void
    {
        $still = 'return window.stillAsked === 0 && document.querySelector("h1") !== null && document.querySelector("[aria-busy=true]") === null
            && ! document.getAnimations().some((one) => one.playState === "running" && one.effect.getTiming().iterations !== Infinity)';
        $times = 0;
        $this->waitFor(function () use ($still, &$times): ?bool {
            $times = $this->browser->executeScript($still) === true ? $times + 1 : 0;

            return $times === 3 ?: null;
        }, 'the page to settle');
    }

    /**
     * What is wrong with the open page at these widths, and with its colours in the other theme too.
     *
     * @return list<string>
     */
    public function troubles(int ...$widths): array
    {
        $found = [];
        foreach ($widths as $width) {
            $this->resize($width, 844);
            $this->settle();
            $wrong = [...($this->overflows() ? ['it is wider'] : []), ...$this->accessibilityFindings(), ...$this->sharedNames()];
            array_push($found, ...array_map(fn (string $one): string => "{$width}: {$one}", $wrong));
        }
        $this->otherTheme();
        foreach (array_reverse($widths) as $width) {
            $this->resize($width, 844);
            $this->settle();
            array_push($found, ...array_map(fn (string $one): string => "{$width} in the other theme: {$one}", $this->paleWords()));
        }

        return [...$found, ...$this->consoleErrors()];
    }

    /** This visitor's season, which is made first where there is none: without drawing a page, which takes seconds. */
    public function season(): int
    {
        $this->browser->get($this->url().'/icon.svg');

        return (int) $this->browser->executeAsyncScript(
            'const done = arguments[0]; fetch("/").then(() => fetch("/api/seasons")).then((r) => r.json()).then(({ seasons }) => done(seasons[0].id));',
        );
    }

    /**
     * A screen of this visitor's season. On a busy machine a page has now and then begun a garden of its own beside the one that was just
     * made: the visitor goes on in that one.
     */
    public function openScreen(string $screen, int $width = 1280, int $height = 800): void
    {
        $this->visit("/seasons/{$this->season()}/{$screen}", $width, $height);
        $settled = $this->waitFor(fn (): ?string => $this->browser->executeScript('const main = document.querySelector("#app main");
            return main && (main.querySelector("h1") || /no such (season|thing) in your/.test(main.innerText)) ? main.innerText : null'), 'the screen');
        if (preg_match('/no such (season|thing) in your garden/', $settled) === 1) {
            fwrite(STDERR, "\nanother garden had been begun: {$this->pageSays()}\n");
            $this->visit("/seasons/{$this->season()}/{$screen}", $width, $height);
        }
    }

    /** The grow list of this visitor's season. */
    public function openList(): void
    {
        $this->openScreen('list');
    }

    public function url(): string
    {
        return getenv('JOLLY_URL'.$this->serving()) ?: throw new RuntimeException('Browser tests are run by bin/test, which serves the application.');
    }

    /** Each process of a parallel run has an application of its own, so that one can stop its server and disturb nobody. */
    private function serving(): string
    {
        $process = (int) getenv('TEST_TOKEN');

        return $process > 1 ? (string) $process : '';
    }

    /** Waits until the selector finds something. */
    public function find(string $css): RemoteWebElement
    {
        return $this->waitFor(fn () => $this->browser->findElements(WebDriverBy::cssSelector($css))[0] ?? null, "\"{$css}\" to appear");
    }

    public function text(string $css): string
    {
        return $this->waitFor(fn () => [trim($this->find($css)->getText())], "the words of \"{$css}\"")[0];
    }

    /**
     * @template T
     *
     * @param  callable(): ?T  $check
     * @return T
     */
    public function waitFor(callable $check, string $what, float $seconds = 30): mixed
    {
        for ($until = microtime(true) + $seconds; microtime(true) < $until; usleep(50_000)) {
            try {
                $found = $check();
            } catch (NoSuchElementException|StaleElementReferenceException) {
                // Not there yet, or drawn anew.
                continue;
            } catch (\Facebook\WebDriver\Exception\UnknownErrorException $e) {
                // The page was left between finding and reading.
                if (! str_contains($e->getMessage(), 'does not belong to the document')) {
                    throw $e;
                }

                continue;
            }
            if ($found !== null && $found !== false) {
                return $found;
            }
        }
        throw new RuntimeException("Waited {$seconds} s for {$what}. {$this->pageSays()}");
    }

    /** What there was instead, for whoever has to find out why. */
    private function pageSays(): string
    {
        try {
            $says = $this->browser->executeScript('return [location.pathname, navigator.onLine ? "online" : "offline",
                document.querySelector("main")?.innerText.slice(0, 300) ?? document.body.innerText.slice(0, 300),
                performance.getEntriesByType("resource").filter((one) => one.responseEnd === 0 || one.responseStatus >= 400)
                    .map((one) => `${one.name} ${one.responseStatus}`).slice(0, 5),
                (() => { const now = new XMLHttpRequest(); now.open("GET", "/api/seasons", false); now.send();
                    return `seasons of the garden now: ${now.status} ${now.responseText.slice(0, 200)}`; })()]');

            return 'The page: '.json_encode($says, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
        } catch (Throwable) {
            return '';
        }
    }

    /** Clicks what the selector finds, in the middle of the window where nothing lies over it; once more where it moved away meanwhile. */
    public function click(string $css): void
    {
        $this->waitFor(function () use ($css): ?bool {
            $element = $this->find($css);
            $this->browser->executeScript('arguments[0].scrollIntoView({ block: "center" }); window.clicked = null;
                document.addEventListener("click", ({ target }) => { window.clicked ??= target; }, { capture: true, once: true });', [$element]);
            try {
                $element->click();
            } catch (ElementNotInteractableException|ElementClickInterceptedException) {
                return null;
            }

            return $this->missed($element) ? null : true;
        }, "\"{$css}\" to be clickable");
    }

    /** Whether the last click met something else: what is known is shown at once, and moves when the server's answer comes. */
    private function missed(RemoteWebElement $element): bool
    {
        try {
            return $this->browser->executeScript('return window.clicked instanceof Node && ! arguments[0].contains(window.clicked)', [$element]) === true;
        } catch (Throwable) {
            // The click took effect: what was clicked is gone.
            return false;
        }
    }

    /** Drags what the selector finds to the right, as a hand does: down, along in steps, up. */
    public function drag(string $css, int $pixels): void
    {
        $element = $this->find($css);
        $this->browser->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$element]);
        /** @var array{x: float, y: float} $at */
        $at = $this->browser->executeScript(
            'const box = arguments[0].getBoundingClientRect(); return { x: Math.round(box.x + box.width / 2), y: Math.round(box.y + box.height / 2) }',
            [$element],
        );
        $move = fn (float $x): array => [
            'type' => 'pointerMove',
            'duration' => 40,
            'x' => (int) $x,
            'y' => (int) $at['y'],
            'origin' => 'viewport',
        ];
        $this->browser->executeCustomCommand('/session/:sessionId/actions', 'POST', [
            'actions' => [
                [
                    'type' => 'pointer',
                    'id' => 'hand',
                    'parameters' => ['pointerType' => 'mouse'],
                    'actions' => [
                        $move($at['x']),
                        ['type' => 'pointerDown', 'button' => 0],
                        $move($at['x'] + $pixels / 2),
                        $move($at['x'] + $pixels),
                        ['type' => 'pointerUp', 'button' => 0],
                    ],
                ],
            ],
        ]);
    }

    /** Clicks the button with these words. */
    public function press(string $words, string $within = 'body'): void
    {
        $this->waitFor(function () use ($words, $within): ?bool {
            foreach ($this->browser->findElements(WebDriverBy::cssSelector("{$within} button")) as $button) {
                if ($button->getText() === $words) {
                    $this->browser->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$button]);
                    $button->click();

                    return true;
                }
            }

            return null;
        }, "the button \"{$words}\"");
    }

    /** A setting of the application that this process tests. */
    public function setting(string $name): string
    {
        $settings = (string) file_get_contents(dirname(__DIR__, 2)."/var/test{$this->serving()}/.env");

        return preg_match("/^{$name}=(.*)$/m", $settings, $found) === 1 ? $found[1] : throw new RuntimeException("There is no setting {$name}.");
    }

    /** The server of these tests goes away, or comes back. */
    public function server(bool $up): void
    {
        exec(
            'sv -w 10 '.($up ? 'up ' : 'force-stop ').escapeshellarg(dirname(__DIR__, 2)."/var/test{$this->serving()}/service/nginx").' 2>&1',
            $said,
            $code,
        );
        $code === 0 ?: throw new RuntimeException(implode("\n", $said));
        // It runs before it listens, on a busy machine by seconds.
        $address = (string) parse_url($this->url(), PHP_URL_HOST).':'.parse_url($this->url(), PHP_URL_PORT);
        ! $up ?: $this->waitFor(fn () => @stream_socket_client("tcp://{$address}", timeout: 1) !== false ?: null, 'the server to listen');
    }

    /**
     * A slow server, for pages opened from now on: such answers come that much later, and tell of when they were asked for.
     *
     * @param  int  $times  how many of them on each page
     */
    public function answersLate(string $method, string $path, int $milliseconds, int $times = 1000): void
    {
        $source = sprintf(
            'const askFirst = window.fetch; let late = %d; window.fetch = async (...asked) => {
                const [{ url = "", method = "" }] = asked;
                const isLate = method === %s && url.includes(%s) && late-- > 0;
                const answer = await askFirst(...asked);
                if (isLate) await new Promise((on) => setTimeout(on, %d));
                return answer;
            };',
            $times,
            json_encode($method),
            json_encode($path, JSON_UNESCAPED_SLASHES),
            $milliseconds,
        );
        $this->onEachPage("{ {$source} }");
    }

    /** Until code and answers are kept on the device. */
    public function untilKept(): void
    {
        $this->waitFor(fn () => $this->browser->executeAsyncScript(
            'const done = arguments[0]; navigator.serviceWorker.ready.then(() => done(navigator.serviceWorker.controller !== null))',
        ) ?: null, 'the service worker', 45);
        usleep(800_000);
    }

    /** Types over a field and confirms it with Enter. */
    public function type(string $field, string $value): void
    {
        $this->waitFor(function () use ($field, $value): ?bool {
            $this->click("input[name='{$field}']");
            try {
                $input = $this->find("input[name='{$field}']");
                $input->sendKeys([WebDriverKeys::CONTROL, 'a']);
                $input->sendKeys($value.WebDriverKeys::ENTER);
            } catch (ElementNotInteractableException) {
                // Drawn anew between the click and the keys.
                return null;
            }

            return true;
        }, "\"{$field}\" to be typed into");
    }

    /** @return array<string, mixed> what the API answers this visitor */
    public function api(string $path): array
    {
        $answer = $this->browser->executeAsyncScript('const done = arguments[1]; fetch(arguments[0]).then((r) => r.text()).then(done);', [
            $path,
        ]);

        return json_decode(is_string($answer) ? $answer : '', true, 64, JSON_THROW_ON_ERROR);
    }

    /**
     * A change to this visitor's season as if from another window.
     *
     * @param  ?array<string, mixed>  $body
     */
    public function elsewhere(string $verb, ?array $body = null): void
    {
        $this->browser->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN[^=]*=([^;]+)/)[1]);
            fetch(`/api/seasons/${arguments[0]}`, { method: arguments[1], headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token },
            body: arguments[2] }).then(() => done());',
            [$this->seasonId(), $verb, $body === null ? null : json_encode($body)],
        );
    }

    public function seasonId(): int
    {
        return (int) preg_replace('/\D/', '', $this->path());
    }

    /** The season's page this visitor is on, without the server. */
    public function path(): string
    {
        return (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH);
    }

    public function overflows(): bool
    {
        // A phone's own width, not the window's: that grows with what overflows.
        return $this->browser->executeScript('return document.documentElement.scrollWidth') > $this->width;
    }

    /** Changes the colours by the menu, as a person would; a page without one is opened again in the dark. */
    public function otherTheme(): void
    {
        if ($this->browser->findElements(WebDriverBy::cssSelector('[data-menu]')) === []) {
            $this->browser->executeScript("localStorage.setItem('jolly-penny-scheme', 'dark')");
            $this->browser->navigate()->refresh();

            return;
        }
        $before = $this->find('html')->getAttribute('data-scheme');
        $this->find('[data-menu]')->click();
        $this->find('.ant-dropdown-menu-item');
        // It slides in, and a press in between would meet the entry above the last one.
        $moves = 'const menu = document.querySelector(".ant-dropdown");
            return /-(appear|enter)/.test(menu.className) || menu.getAnimations({ subtree: true }).some((one) => one.playState === "running")';
        $this->waitFor(fn () => ! $this->browser->executeScript($moves) ?: null, 'the menu to stand still');
        $items = $this->browser->findElements(WebDriverBy::cssSelector('.ant-dropdown-menu-item'));
        $items[count($items) - 1]->click();
        $this->waitFor(fn () => $this->find('html')->getAttribute('data-scheme') !== $before ?: null, 'the other colours');
        // Half faded, its words are too pale, and it belongs to no part of the page.
        $still = 'return document.querySelector(".ant-dropdown:not(.ant-dropdown-hidden)") === null
            && ! document.getAnimations().some((one) => one.playState === "running" && one.effect.getTiming().iterations !== Infinity)';
        $this->waitFor(fn () => $this->browser->executeScript($still) ?: null, 'the menu to go and the colours to settle');
    }

    /** @return list<string> messages of errors on the page's console */
    public function consoleErrors(): array
    {
        return array_values(
            array_map(
                fn (array $entry) => (string) $entry['message'],
                array_filter($this->browser->manage()->getLog('browser'), fn (array $entry) => $entry['level'] === 'SEVERE'),
            ),
        );
    }

    /** @return list<string> rule and place of each accessibility finding that is more than minor */
    public function accessibilityFindings(): array
    {
        return $this->axe('{ resultTypes: ["violations"] }');
    }

    /** @return list<string> words too pale to read: all that another theme can change of the findings */
    public function paleWords(): array
    {
        return $this->axe('{ resultTypes: ["violations"], runOnly: ["color-contrast"] }');
    }

    /** @return list<string> */
    private function axe(string $options): array
    {
        if ($this->browser->executeScript('return typeof axe') === 'undefined') {
            $this->browser->executeScript((string) file_get_contents(__DIR__.'/../../node_modules/axe-core/axe.min.js'));
        }
        $found = $this->browser
            ->executeAsyncScript("const done = arguments[0]; axe.run({$options}).then((r) => done(r.violations
            .filter((v) => v.impact !== 'minor').map((v) => v.id + ': ' + v.nodes.map((n) => n.target.join(' ')).join(', '))));");

        return is_array($found) ? array_values(array_filter($found, is_string(...))) : ['axe did not answer'];
    }

    /** @return list<string> what several controls on the page are called alike, though they do unlike things */
    public function sharedNames(): array
    {
        $found = $this->browser->executeScript('const names = {};
            for (const one of document.querySelectorAll("button, a[href], input, select, textarea, summary")) {
                // The till repeats what a page says of the same figure.
                if (!one.checkVisibility() || one.closest("aside")) continue;
                const labels = [...(one.labels ?? [])].map((label) => label.textContent).join(" ");
                const name = (one.getAttribute("aria-label") || labels || one.textContent || "").replace(/\\s+/g, " ").trim();
                if (name !== "") (names[`${one.tagName} ${name}`] ??= new Set()).add(one.tagName === "A" ? one.href : one);
            }
            return Object.keys(names).filter((name) => names[name].size > 1);');

        return is_array($found) ? array_values(array_filter($found, is_string(...))) : ['no answer'];
    }

    private function open(int $port, int $width, int $height): RemoteWebDriver
    {
        self::$profile = sys_get_temp_dir().'/jolly-'.bin2hex(random_bytes(6));
        $arguments = [
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--disable-dev-shm-usage',
            // A page is left before it has run long enough for the slower compilers to pay.
            '--js-flags=--no-turbofan --no-maglev',
            "--window-size={$width},{$height}",
            '--user-data-dir='.self::$profile,
        ];
        $options = new ChromeOptions();
        if (is_executable(self::SHELL)) {
            // ChromeDriver waits for a page that this one only opens when asked for it.
            $options->setExperimentalOption('debuggerAddress', "127.0.0.1:{$this->shell($arguments)}");
        } else {
            $options->addArguments(['--headless', ...$arguments]);
        }
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $browser = $this->waitFor(
            function () use ($port, $capabilities): ?RemoteWebDriver {
                try {
                    return RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 10_000, 60_000);
                } catch (\Facebook\WebDriver\Exception\Internal\WebDriverCurlException) {
                    return null;
                }
            },
            'ChromeDriver',
            30,
        );
        $browser->manage()->timeouts()->setScriptTimeout(30);

        return $browser;
    }

    /**
     * @param  list<string>  $arguments
     * @return int the port on which it can be driven
     */
    private function shell(array $arguments): int
    {
        $nothing = ['file', '/dev/null', 'w'];
        // It ends with this process, however that ends: one left behind would hold up the next run.
        $command = ['setpriv', '--pdeathsig', 'KILL', self::SHELL, '--remote-debugging-port=0', ...$arguments, 'about:blank'];
        self::$shell = proc_open($command, [1 => $nothing, 2 => $nothing], $pipes) ?: throw new RuntimeException('Chromium did not start.');
        $told = self::$profile.'/DevToolsActivePort';

        return $this->waitFor(fn () => is_file($told) ? ((int) file_get_contents($told) ?: null) : null, 'Chromium to listen');
    }

    private function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No port is free.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }
}
