<?php

declare(strict_types=1);

use App\Http\Middleware\ClockSetBack;
use App\Http\Middleware\ContentSecurityPolicy;
use App\Http\Middleware\GardenAtOnce;
use App\Http\Middleware\NoCookieOnRefusal;
use App\Http\Middleware\PlainText;
use App\Http\Middleware\SamePassword;
use App\Http\Middleware\SecureTransport;
use App\Http\Middleware\SessionOnceNeeded;
use App\Http\Middleware\Timed;
use App\Http\Middleware\TokenOfThisCopy;
use App\Http\Problem;
use App\Http\TrustedHosts;
use App\Seasons\RevisionConflict;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use JollyPenny\Core\Season\File\InvalidSeason;

// The served code lies in a release; what an installation keeps lies in its var/, wherever that is.
$var = getenv('JOLLY_VAR') ?: dirname(__DIR__).'/var';

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        $middleware->trustHosts(at: fn (): array => TrustedHosts::patterns(), subdomains: false);
        $middleware->trustProxies(at: explode(',', (string) env('TRUSTED_PROXIES', '')));
        $middleware->prepend([Timed::class, ContentSecurityPolicy::class, PlainText::class, SecureTransport::class, ClockSetBack::class]);
        $middleware->web(
            prepend: [NoCookieOnRefusal::class],
            append: [SamePassword::class, GardenAtOnce::class],
            replace: [StartSession::class => SessionOnceNeeded::class, ValidateCsrfToken::class => TokenOfThisCopy::class],
        );
        // There is no page to sign in on before a request: whoever has no garden is told so, in whatever form they asked.
        $middleware->redirectGuestsTo('/');
        // Whose session has ended is nobody before it is asked who that is.
        $middleware->prependToPriorityList(before: AuthenticatesRequests::class, prepend: SamePassword::class);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport([InvalidSeason::class, RevisionConflict::class]);
        // A database that is away writes its own log; ours would only fill the disk.
        $exceptions->dontReportWhen(fn (Throwable $e): bool => Problem::isAway($e));
        $exceptions->render(fn (Throwable $e, Request $request) => $request->is('api/*') ? Problem::from($e) : Problem::page($e));
    })
    ->create();

// Settings, logs and caches live under var/, one folder for each instance (bin/start, bin/test).
$instance = getenv('JOLLY_INSTANCE') ?: 'local';
$app->useEnvironmentPath("{$var}/{$instance}");
$app->useStoragePath("{$var}/{$instance}/storage");
foreach (['packages', 'services', 'config', 'routes'] as $kind) {
    $name = 'APP_'.strtoupper($kind).'_CACHE';
    getenv($name) ?: $_ENV[$name] = $_SERVER[$name] = "{$var}/{$instance}/cache/".basename(dirname(__DIR__))."/{$kind}.php";
}

return $app;
