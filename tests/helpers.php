<?php

declare(strict_types=1);

// What several test files call, loaded by Composer so that each file also runs alone.

use App\Models\Season;
use App\Models\User;
use App\Seasons\DemoSeason;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\Things\Species;
use Tests\Browser\BrowserTestCase;
use Tests\Seasons;

const SECRET = 'a long enough secret';

/** @return array{User, Season} */
function gardener(): array
{
    $user = User::query()->create(['trial' => true]);

    return [$user, DemoSeason::giveTo($user)];
}

function hoursOfLed(float|int $from, mixed $to): array
{
    return ['changes' => [['path' => ['lights', 'led', 'hours_per_day'], 'from' => $from, 'to' => $to]]];
}

function account(string $email = 'mossy@example.org'): User
{
    $user = User::query()->create(['email' => $email, 'password' => SECRET, 'trial' => false]);
    DemoSeason::giveTo($user);

    return $user;
}

function species(string $id): Species
{
    $file = Seasons::small();
    $file['species'][] = (new Catalogue())->species()[$id]->seasonRow() + [];
    $file['species'][0]['id'] = 'other';
    $file['seed_lots'][0]['species'] = 'other';

    return array_column(Seasons::read($file)->species, null, 'id')[$id];
}

/** The core's cost per finished seedling of the first crop in the first set-up, for the season this visitor has, as it is shown. */
function coreSays(BrowserTestCase $test): string
{
    $id = $test->api('/api/seasons')['seasons'][0]['id'];
    $document = json_decode((string) json_encode($test->api("/api/seasons/{$id}")['season'], JSON_PRESERVE_ZERO_FRACTION));
    foreach ($document->setups as $setup) {
        $setup->overrides = (object) (array) $setup->overrides;
    }
    $cost = (new SeasonCosting((new SeasonReader())->readDocument($document)))->result()['setups'][0]->crops[0]->per_finished;

    return $cost < 0.9995 ? number_format($cost * 100, 1).'¢' : '$'.number_format($cost, 2);
}

/** @return array{int, string, string} exit code, output and errors of bin/jolly */
function jolly(string $arguments, string $input = ''): array
{
    $process = proc_open(
        PHP_BINARY.' '.escapeshellarg(dirname(__DIR__).'/bin/jolly').' '.$arguments,
        [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
        $pipes,
    );
    fwrite($pipes[0], $input);
    fclose($pipes[0]);
    [$out, $err] = [stream_get_contents($pipes[1]), stream_get_contents($pipes[2])];

    return [proc_close($process), $out, $err];
}

/** What a grower would not advise, read plainly off a whole result: troubles a crop has now and had not where the named set-up grows it. */
function isSoundBeside(JollyPenny\Core\Season\Season $season, SetupResult $named, SetupResult $result): bool
{
    $troubles = function (CropResult $crop) use ($season): array {
        $lot = array_column($season->crops, 'lot', 'id')[$crop->id];
        $species = array_column($season->seedLots, 'species', 'id')[$lot];
        $isTender = array_column($season->species, 'tender', 'id')[$species];

        return [...array_intersect(['frost', 'dim', 'no_light', 'no_mat', 'small'], $crop->warnings),
            ...$crop->late_days > ($isTender ? 14 : 35) ? ['late'] : []];
    };
    $had = array_column($named->crops, null, 'id');
    foreach ($result->crops as $crop) {
        if ($crop->grown && array_diff($troubles($crop), $had[$crop->id]->grown ? $troubles($had[$crop->id]) : []) !== []) {
            return false;
        }
    }

    return true;
}
