<?php

declare(strict_types=1);

namespace App\Docs;

use App\Models\Device;
use App\Prices\PriceLine;
use App\Work\WorkKind;
use JollyPenny\Core\Deciding\Advising\Flip;
use JollyPenny\Core\Deciding\Advising\LeavingDay;
use JollyPenny\Core\Deciding\Advising\Lever;
use JollyPenny\Core\Deciding\Advising\LitWorth;
use JollyPenny\Core\Deciding\Advising\OneMoreLamp;
use JollyPenny\Core\Deciding\Advising\Weighed;
use JollyPenny\Core\Deciding\Choosing\Budgeted;
use JollyPenny\Core\Deciding\Choosing\BudgetYear;
use JollyPenny\Core\Deciding\Choosing\Comparison;
use JollyPenny\Core\Deciding\Choosing\CropChoice;
use JollyPenny\Core\Deciding\Choosing\Difference;
use JollyPenny\Core\Deciding\Choosing\GrownStage;
use JollyPenny\Core\Deciding\Choosing\Relief;
use JollyPenny\Core\Deciding\Simulating\Simulated;
use JollyPenny\Core\Living\Devices\DeviceKind;
use JollyPenny\Core\Living\Devices\DeviceReport;
use JollyPenny\Core\Living\Log\RowFacts;
use JollyPenny\Core\Living\Reckoning\Belief;
use JollyPenny\Core\Living\Reckoning\CameTo;
use JollyPenny\Core\Living\Reckoning\EndQuestion;
use JollyPenny\Core\Living\Shed\Leftover;
use JollyPenny\Core\Living\Shed\SeedWorth;
use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Living\Shopping\Shopping;
use JollyPenny\Core\Living\SowAgain\SowAgain;
use JollyPenny\Core\Living\SowAgain\TwoStep;
use JollyPenny\Core\Living\Tasks\Job;
use JollyPenny\Core\Living\Tasks\TimingNote;
use JollyPenny\Core\Living\Trays\TrayPicture;
use JollyPenny\Core\Living\Trials\TrialResult;
use JollyPenny\Core\Plan\Books\BenchDays;
use JollyPenny\Core\Plan\Ledger\Ledger;
use JollyPenny\Core\Plan\Potting\Potting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Plan\Years\SetupYears;
use JollyPenny\Core\Season\Catalogue\PriceLevel;
use JollyPenny\Core\Season\Catalogue\SpeciesFacts;
use JollyPenny\Core\Season\File\SeasonSchema;
use JollyPenny\Core\Season\Things\ThingKind;
use JollyPenny\Core\Season\Units\Currency;
use JollyPenny\Core\Showing\Bench\Bench;
use JollyPenny\Core\Showing\Labels\Label;
use JollyPenny\Core\Showing\Labels\LabelSheet;
use JollyPenny\Core\Showing\Pictures\ComparedStacks;
use JollyPenny\Core\Showing\Pictures\Moved;
use JollyPenny\Core\Showing\Pictures\SetupPicture;
use OpenApi\Attributes as OA;
use OpenApi\Generator;

/**
 * The description of the API (OpenAPI 3.1): paths from the controllers' attributes, shapes from the core's value objects and
 * the season file's schema. `bin/docs` writes it; a test says when it is stale.
 */
#[OA\OpenApi(openapi: '3.1.0')]
#[
    OA\Info(
        version: '1',
        title: 'Jolly Penny',
        description: 'Seasons, what they cost, and why. Session cookies; changing requests carry the X-XSRF-TOKEN header. Errors are problem details (RFC 9457).',
    ),
]
final class OpenApiFile
{
    private const FILE = __DIR__.'/../../docs/openapi.json';

    public static function kept(): string
    {
        return (string) file_get_contents(self::FILE);
    }

    public static function text(): string
    {
        $api = (new Generator())->setVersion('3.1.0')->generate([...glob(__DIR__.'/../*/*Controller.php') ?: [], __FILE__], validate: false);
        /** @var array<string, mixed> $document */
        $document = json_decode((string) $api?->toJson(), true, 64, JSON_THROW_ON_ERROR);
        $document['components'] = ['schemas' => self::schemas(), 'responses' => self::responses()];

        return json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return array<string, mixed> */
    private static function schemas(): array
    {
        $shapes = new Shapes();
        $result = $shapes->of(SetupResult::class);
        [$picture, $moved, $choice, $species, $currency, $level] = array_map($shapes->of(...), [
            SetupPicture::class,
            Moved::class,
            CropChoice::class,
            SpeciesFacts::class,
            Currency::class,
            PriceLevel::class,
        ]);
        [$comparison, $stacks, $difference, $years] = array_map($shapes->of(...), [
            Comparison::class,
            ComparedStacks::class,
            Difference::class,
            SetupYears::class,
        ]);
        [$job, $timing, $bench, $relief] = array_map($shapes->of(...), [Job::class, TimingNote::class, BenchDays::class, Relief::class]);
        [$grown] = array_map($shapes->of(...), [GrownStage::class, Bench::class, Potting::class]);
        [$budget, $budgetYear] = array_map($shapes->of(...), [Budgeted::class, BudgetYear::class]);
        [$leftover, $seedWorth] = array_map($shapes->of(...), [Leftover::class, SeedWorth::class]);
        $priceLine = $shapes->of(PriceLine::class);
        [$shopping, $purchase] = array_map($shapes->of(...), [Shopping::class, Purchase::class, Ledger::class]);
        $workKind = $shapes->of(WorkKind::class);
        [$tray, $label, $sheet, $facts, $trial] = array_map($shapes->of(...), [TrayPicture::class, Label::class, LabelSheet::class, RowFacts::class,
            TrialResult::class]);
        [$worth, $cameTo, $belief, $weighed, $lever, $flip, $simulated] = array_map($shapes->of(...), [LitWorth::class, CameTo::class,
            Belief::class, Weighed::class, Lever::class,
            Flip::class, Simulated::class]);
        [$lamp, $leaving, $end] = array_map($shapes->of(...), [OneMoreLamp::class, LeavingDay::class, EndQuestion::class]);
        [$again, $twoStep, $deviceKind, $report] = array_map($shapes->of(...), [SowAgain::class, TwoStep::class, DeviceKind::class, DeviceReport::class]);
        $season = json_decode(SeasonSchema::text(), true, 64, JSON_THROW_ON_ERROR);
        unset($season['$schema'], $season['$id'], $season['$defs']);
        // What is sent of an entry need not have every key.
        $entry = is_array($season['properties']['log'] ?? null) ? $season['properties']['log']['items'] : [];
        $text = ['type' => 'string'];
        $whole = ['type' => 'integer'];
        $number = ['type' => 'number'];
        $flag = ['type' => 'boolean'];
        $maybe = ['type' => ['string', 'null']];
        $list = fn (array $items): array => ['type' => 'array', 'items' => $items];
        $also = fn (string $words): array => ['type' => 'array', 'description' => $words,
            'items' => self::object(['path' => $list($text), 'to' => $number])];
        $map = fn (array $of): array => ['type' => 'object', 'additionalProperties' => $of];
        $path = $list(['type' => ['string', 'integer']]);
        $any = ['description' => 'any value of a season file'];

        return [
            'Season' => self::everyKey($season),
            ...$shapes->schemas,
            'Result' => self::object(['format' => $text, 'version' => $whole, 'setups' => $list($result)]),
            'SeasonState' => self::object(
                [
                    'id' => $whole,
                    'revision' => $whole,
                    'season' => ['$ref' => '#/components/schemas/Season'],
                    'result' => ['$ref' => '#/components/schemas/Result'],
                    'pictures' => $map($picture),
                    'history' => self::object(['undo' => $maybe, 'redo' => $maybe]),
                    'demo' => ['type' => 'boolean', 'description' => 'a made-up season to look around in'],
                    'moved' => ['oneOf' => [$moved, ['type' => 'null']]],
                    'asked' => $list(['$ref' => '#/components/schemas/AskedCrop']),
                    'added' => $text,
                    'unreckoned' => ['type' => 'boolean', 'description' => 'no figures could be made of it'],
                ],
                ['moved', 'asked', 'added', 'unreckoned'],
            ),
            'AskedCrop' => self::object([
                'text' => ['type' => 'string', 'description' => 'as it was written'],
                'question' => $text,
                'species' => $maybe,
                'variety' => $text,
                'wanted' => ['type' => ['integer', 'null']],
                'unknown' => ['type' => 'boolean', 'description' => 'nothing in the catalogue is it for certain'],
                'nearest' => $list(self::object(['id' => $text, 'name' => $text])),
            ]),
            'Kit' => self::object([
                'lots' => ['type' => 'array', 'items' => ['type' => 'string'], 'description' => 'ids of its packets'],
                'price' => ['type' => 'number', 'description' => 'money for all of them'],
                'setup' => ['type' => ['string', 'null'], 'description' => 'the set-up on screen'],
            ]),
            'NewCurrency' => self::object([
                'to' => $text,
                'rate' => ['type' => ['number', 'null'], 'description' => 'of the new money for one of the old; null keeps the numbers'],
                'setup' => $text,
            ], ['rate', 'setup']),
            'WrittenList' => self::object(['text' => $text, 'metric' => $flag], ['metric']),
            'ReadList' => self::object(['lines' => $list(self::object([
                'text' => ['type' => 'string', 'description' => 'as it was written'],
                'name' => ['type' => ['string', 'null'], 'description' => 'of the species; null where it is not known for certain'],
                'variety' => $text,
                'wanted' => ['type' => ['integer', 'null']],
                'question' => $maybe,
                'nearest' => $list($text),
            ]))]),
            'Guesses' => self::object(['guesses' => $list(self::object([
                'path' => $list($text),
                'name' => $text,
                'value' => ['type' => ['number', 'null']],
                'moves' => ['type' => 'number', 'description' => 'money that it may well move what is saved by'],
            ]))]),
            'Compared' => self::object([
                'revision' => $whole,
                'result' => ['$ref' => '#/components/schemas/Result'],
                'comparison' => $comparison,
                'stacks' => $stacks,
            ]),
            'Years' => self::object(['setups' => $list($years)]),
            'NewSetup' => self::object(['ready_made' => $text, 'copy' => $text, 'fit' => $text, 'work' => $whole], ['ready_made', 'copy', 'fit', 'work']),
            'PriceBook' => self::object([
                'things' => $list(self::object(['name' => $text, 'prices' => $list(self::object([
                    'id' => $whole, 'shop' => $text, 'holds' => ['type' => ['number', 'null']],
                    'unit' => $text, 'price' => $number, 'currency' => $text, 'on' => $text]))])),
                'more' => ['type' => 'integer', 'description' => '1 where there are more things than are shown'],
                'lines' => $whole,
            ]),
            'NewPrice' => self::object(['name' => $text, 'shop' => $maybe, 'holds' => ['type' => ['number', 'null']], 'unit' => $maybe, 'price' => $number,
                'currency' => $text, 'on' => $text], ['shop', 'holds', 'unit']),
            'PriceTable' => self::object(['file' => ['type' => 'string', 'description' => 'CSV in base64'], 'map' => $map($whole), 'currency' => $text,
                'dates' => ['enum' => ['dmy', 'mdy']], 'keep' => $flag], ['map']),
            'PriceTableRead' => self::object(['headings' => $list($text), 'map' => $map($whole), 'rows' => $whole, 'new' => $whole, 'known' => $whole,
                'faulty' => $whole, 'faults' => $list(self::object(['line' => $whole, 'why' => $text])), 'sample' => $list($priceLine), 'kept' => $flag]),
            'PriceOffers' => self::object(['offers' => $list(self::object(['path' => $list($text), 'name' => $text, 'now' => $number, 'price' => $number,
                'shop' => $text, 'on' => $text, 'cost' => $number, 'cash' => $number,
                'also' => $also('what another pack holds')]))]),
            'ShedItem' => self::object(['id' => $whole, 'kind' => $text, 'name' => $text, 'packed_for' => ['type' => ['integer', 'null']], 'amount' => $number,
                'unit' => $text, 'served' => $whole, 'place' => $text, 'tests' => $list(self::object(['on' => $text, 'sown' => $whole, 'sprouted' => $whole])),
                'gone_on' => $maybe, 'gone_why' => $text]),
            'Shed' => self::object([
                'items' => $list(['$ref' => '#/components/schemas/ShedItem']),
                'gone' => $list(['$ref' => '#/components/schemas/ShedItem']),
                'bought' => $list(self::object(['kind' => $text, 'name' => $text, 'packs' => $whole, 'season' => $text])),
                'rolled' => ['oneOf' => [self::object(['id' => $whole, 'from' => $text, 'made' => $text]), ['type' => 'null']]],
                'stays' => $list(self::object(['name' => $text, 'why' => $text])),
            ]),
            'NewShedItem' => self::object(['kind' => ['enum' => array_column(ThingKind::kept(), 'value')], 'name' => $text, 'amount' => $number,
                'packed_for' => ['type' => ['integer', 'null']],
                'place' => $maybe], ['packed_for', 'place']),
            'ShedChange' => self::object(['amount' => $number, 'place' => $maybe, 'gone' => $maybe, 'back' => $flag,
                'test' => self::object(['on' => $text, 'sown' => $whole, 'sprouted' => $whole])], ['amount', 'place', 'gone', 'back', 'test']),
            'Leftovers' => self::object(['leftovers' => $list($leftover), 'rolled' => $flag, 'begun' => $flag]),
            'NewRoll' => self::object(['setup' => $text, 'cracked' => $map($whole)], ['cracked']),
            'SeedWorths' => self::object(['lots' => $list($seedWorth)]),
            'ShedOffers' => self::object(['offers' => $list(self::object([
                'path' => $list($text), 'name' => $text, 'now' => $number, 'shed' => $number, 'unit' => $text,
                'to' => ['type' => ['number', 'boolean']],
                'also' => $also('the year of other seed')]))]),
            'Workbook' => self::object(['file' => ['type' => 'string', 'description' => 'xlsx or ods, in base64']]),
            'WorkbookChanges' => self::object(['changes' => $list(self::object(['path' => $path, 'label' => $text, 'from' => $number, 'to' => $number]))]),
            'ShoppingState' => self::object(['shopping' => $shopping, 'purchases' => $list($purchase), 'shops' => $list($text)]),
            'NewPurchase' => self::object(
                ['kind' => ['enum' => array_column(ThingKind::cases(), 'value')], 'thing' => $text, 'name' => $text, 'packs' => $whole,
                    'paid' => $number, 'on' => $text,
                    'shop' => $maybe, 'note' => $maybe],
                ['shop', 'note'],
            ),
            'NewWork' => self::object(['kind' => $workKind, 'setup' => $text, 'amount' => $number], ['amount']),
            'Work' => self::object([
                'id' => $whole,
                'kind' => $text,
                'setup' => $text,
                'revision' => $whole,
                'state' => ['enum' => ['waiting', 'working', 'done', 'failed', 'stopped']],
                'done' => $whole,
                'total' => ['type' => 'integer', 'description' => '0 where nobody knows'],
                'budget' => $budget,
                'budget_years' => $list($budgetYear),
                'advice' => self::object(['changes' => $list($weighed), 'left_out' => $map($whole)]),
                'hangs_on' => self::object(['levers' => $list($lever), 'flips' => $list($flip)]),
                'simulation' => $simulated,
                'room' => self::object(['lamps' => $list($lamp), 'leaving' => $list($leaving)]),
            ], ['budget', 'budget_years', 'advice', 'hangs_on', 'simulation', 'room']),
            'NewMethod' => self::object(['school' => $text, 'copy' => $text, 'setup' => $maybe, 'crop' => $text], ['school', 'copy', 'setup', 'crop']),
            'Survival' => self::object(['preset' => ['enum' => ['first_year', 'usual', 'careful']], 'setup' => $maybe], ['setup']),
            'Growth' => self::object(['crop' => $maybe, 'stages' => $list($grown), 'used_by' => $list($text), 'crops' => $list($text)]),
            'NewThing' => self::object(
                ['list' => $text, 'catalogue' => $text, 'name' => $text, 'place' => $text, 'setup' => $text, 'count' => $whole],
                ['catalogue', 'name', 'place', 'setup', 'count'],
            ),
            'CatalogueThing' => self::object(['id' => $text, 'name' => $text, 'us_name' => $text, 'price' => ['type' => ['number',
                'null']], 'kind' => ['type' => ['string', 'null'], 'description' => 'within its list; of a supply: medium, additive, feed or sundry'],
                'dose_per_l' => ['type' => ['number', 'null'], 'description' => 'of a feed: so much in a litre of water'], 'source' => $text]),
            'Calendar' => self::object([
                'tasks' => $list($job),
                'timing' => $list($timing),
                'bench' => $list($bench),
                'relief' => $list($relief),
                'feed' => $maybe,
            ]),
            'ReckoningState' => self::object(['came_to' => $cameTo, 'beliefs' => $list($belief), 'end' => $list($end), 'worth' => $list($worth)]),
            'NextBeliefs' => self::object(['take' => ['type' => 'array', 'items' => $text, 'description' => 'key and id of a belief, with a space between']]),
            'Jobs' => self::object(['jobs' => $list($job), 'written' => ['type' => 'integer', 'description' => 'entries of the log that stand'],
                'last_on' => $maybe, 'marked' => $list(self::object(['id' => $text, 'crop' => $maybe, 'on' => $text, 'kind' => $text,
                    'count' => ['type' => ['integer', 'null']], 'why' => $text]))]),
            'TraysState' => self::object(['trays' => $list($tray),
                'not_laid_out' => ['type' => 'integer', 'description' => 'sites beyond the most trays that are laid out'],
                'labels' => $list($label), 'sheets' => $list($sheet), 'facts' => $map($facts),
                'trials' => $list($trial), 'photos' => $list(['$ref' => '#/components/schemas/PhotoLine'])]),
            'TrayChange' => self::object(['do' => ['enum' => ['keep', 'move', 'columns']], 'trays' => $list($text), 'tray' => $text, 'row' => $whole,
                'to' => $text, 'to_row' => $whole, 'columns' => $whole], ['trays', 'tray', 'row', 'to', 'to_row', 'columns']),
            'SowAgainState' => self::object(['again' => ['oneOf' => [$again, ['type' => 'null']]], 'two_step' => ['oneOf' => [$twoStep, ['type' => 'null']]]]),
            'PhotoLine' => self::object(['id' => $text, 'on' => $text, 'crop' => $maybe, 'tray' => $maybe, 'note' => $text,
                'width' => $whole, 'height' => $whole]),
            'NewPhoto' => self::object(['on' => $text, 'crop' => $maybe, 'tray' => $maybe, 'note' => $maybe,
                'image' => ['type' => 'string', 'description' => 'JPEG, PNG or WebP in base64']], ['crop', 'tray', 'note']),
            'LogEntry' => $entry,
            'Log' => self::object(['entries' => $list(['allOf' => [['$ref' => '#/components/schemas/LogEntry'], self::object(['stands' => $flag])]]),
                'photos' => $list(['$ref' => '#/components/schemas/PhotoLine'])]),
            'NewEntries' => self::object(['entries' => $list(['$ref' => '#/components/schemas/LogEntry'])]),
            'Written' => self::object(['refused' => $list(self::object(['id' => $text, 'why' => $text]))]),
            'LogTable' => self::object(['file' => ['type' => 'string', 'description' => 'CSV in base64']]),
            'LogTableRead' => self::object(['rows' => $whole, 'new' => $whole, 'faults' => $list(self::object(['line' => $whole, 'why' => $text]))]),
            'Devices' => self::object(['devices' => $list(self::object(['id' => $whole, 'name' => $text, 'kind' => $deviceKind,
                'list' => $text, 'thing' => $text,
                'unit' => $text, 'refused' => $whole, 'heard_at' => $maybe, 'report' => $report]))]),
            'NewDevice' => self::object(['name' => $text, 'kind' => $deviceKind, 'list' => ['enum' => Device::LISTS], 'thing' => $text]),
            'DeviceMade' => self::object(['id' => $whole, 'token' => $text]),
            'NewReadings' => self::object(['readings' => $list(self::object(['at' => $text, 'value' => $number]))]),
            'ReadingsKept' => self::object(['kept' => $whole, 'known' => $whole, 'refused' => $whole]),
            'BarMove' => self::object(
                ['stage' => ['type' => ['integer', 'null'], 'description' => 'of the method, from 0; null for the sowing'], 'by' => $whole],
                ['stage'],
            ),
            'Feed' => self::object(['address' => $text]),
            'SeasonLine' => self::object([
                'id' => $whole,
                'name' => $text,
                'revision' => $whole,
                'year' => $whole,
                'last_frost' => $text,
                'crops' => $whole,
                'plants' => $whole,
                'setups' => $whole,
                'changed_at' => $maybe,
                'archived' => $flag,
            ]),
            'SeasonList' => self::object(['seasons' => $list(['$ref' => '#/components/schemas/SeasonLine'])]),
            'SeasonMade' => self::object(['id' => $whole, 'asked' => $list(['$ref' => '#/components/schemas/AskedCrop'])], ['asked']),
            'NewSeason' => self::object(
                [
                    'from' => ['enum' => ['demo', 'file', 'answers']],
                    'demo' => $text,
                    'text' => $text,
                    'name' => $text,
                    'last_frost' => ['type' => 'string', 'description' => 'where there is no frost: when spring\'s first plants go out'],
                    'first_frost' => $text,
                    'frostless' => $flag,
                    'rate' => ['type' => 'number'],
                    'currency' => $text,
                    'metric' => $flag,
                    'have' => $list($text),
                    'guessed' => $list($text),
                    'list' => ['type' => 'string', 'description' => 'the first grow list, as people write it'],
                ],
                ['list', 'demo', 'text', 'name', 'last_frost', 'first_frost', 'frostless', 'rate', 'currency', 'metric', 'have', 'guessed'],
            ),
            'Archived' => self::object(['archived' => $flag]),
            'Change' => self::object(['path' => $path, 'from' => $any, 'to' => $any]),
            'Changes' => self::object(
                ['changes' => $list(['$ref' => '#/components/schemas/Change']), 'label' => $text, 'setup' => $maybe],
                ['label', 'setup'],
            ),
            'NewCrops' => self::object(
                [
                    'text' => $text, 'species' => $text, 'variety' => $text, 'lot' => $text, 'wanted' => $whole, 'setup' => $maybe,
                    'like' => $text, 'days' => $number, 'weeks' => $number, 'tender' => $flag,
                ],
                ['text', 'species', 'variety', 'lot', 'wanted', 'setup', 'like', 'days', 'weeks', 'tender'],
            ),
            'NewPacket' => self::object(['like' => $text, 'setup' => $maybe], ['setup']),
            'Rounds' => self::object(['every_days' => $whole, 'times' => $whole, 'setup' => $maybe], ['setup']),
            'Said' => self::object(['words' => $text, 'setup' => $text]),
            'Choices' => self::object([
                'methods' => $list($choice),
                'lots' => $list($choice),
                'cautions' => $list(['$ref' => '#/components/schemas/Warned']),
            ]),
            'Warned' => self::object(['id' => $text, 'title' => $text, 'text' => $text]),
            'Cautions' => self::object(['cautions' => $list(['$ref' => '#/components/schemas/Warned'])]),
            'Catalogue' => self::object([
                'species' => $list($species),
                'schools' => $map($text),
                'currencies' => $list($currency),
                'price_levels' => $list($level),
                'things' => $map($list(['$ref' => '#/components/schemas/CatalogueThing'])),
                'setups' => $list(self::object(['id' => $text, 'name' => $text])),
            ]),
            'Term' => self::object([
                'label' => $text,
                'value' => ['type' => ['number', 'string', 'null']],
                'unit' => $text,
                'path' => ['oneOf' => [$path, ['type' => 'null']]],
                'working' => $maybe,
                'origin' => ['enum' => ['you', 'catalogue', 'test', 'computed']],
                'source' => $maybe,
            ]),
            'Working' => self::object([
                'figure' => $text,
                'title' => $text,
                'value' => ['type' => ['number', 'null']],
                'unit' => $text,
                'rule' => $text,
                'formula' => $text,
                'terms' => $list(['$ref' => '#/components/schemas/Term']),
            ]),
            'Account' => self::object(['email' => $maybe, 'trial' => $flag, 'guest' => $flag, 'mailbox' => $flag]),
            'Credentials' => self::object(['email' => $text, 'password' => $text]),
            'AccountChange' => self::object(['email' => $text, 'password' => $text, 'current_password' => $text], ['email', 'password']),
            'CurrentPassword' => self::object(['current_password' => $text], ['current_password']),
            'Email' => self::object(['email' => $text]),
            'Reset' => self::object(['email' => $text, 'token' => $text, 'password' => $text]),
            'Export' => self::object([
                'format' => $text,
                'version' => $whole,
                'email' => $maybe,
                'created_at' => $maybe,
                'seasons' => $list(['type' => 'object']),
                'shed' => $list(['type' => 'object']),
                'prices' => $list(['type' => 'object']),
            ]),
            'Fault' => self::object(['path' => $text, 'problem' => $text, 'remedy' => $text]),
            'Conflict' => self::object(['path' => $path, 'was' => $any, 'theirs' => $any, 'yours' => $any]),
            'Problem' => self::object(
                [
                    'type' => $text,
                    'title' => $text,
                    'status' => $whole,
                    'detail' => $text,
                    'faults' => $list(['$ref' => '#/components/schemas/Fault']),
                    'revision' => $whole,
                    'conflicts' => $list(['$ref' => '#/components/schemas/Conflict']),
                ],
                ['faults', 'revision', 'conflicts'],
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function responses(): array
    {
        $problem = fn (string $words): array => [
            'description' => $words,
            'content' => ['application/problem+json' => ['schema' => ['$ref' => '#/components/schemas/Problem']]],
        ];

        return [
            'NotFound' => $problem('There is no such thing in your garden'),
            'Faults' => $problem('Values that cannot be used, each with what to do'),
            'Conflict' => $problem('Changed elsewhere meanwhile: both values, to choose from'),
            'TooMany' => $problem('Too many tries'),
        ];
    }

    /**
     * @param  array<string, mixed>  $properties
     * @param  list<string>  $optional
     * @return array<string, mixed>
     */
    private static function object(array $properties, array $optional = []): array
    {
        return [
            'type' => 'object',
            'properties' => $properties,
            'required' => array_values(array_diff(array_keys($properties), $optional)),
        ];
    }

    /**
     * The API writes every key of a season, defaults too (save "meta", and how much is sown as sites or as seeds).
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function everyKey(array $schema): array
    {
        foreach ($schema as $key => $value) {
            if (is_array($value)) {
                $schema[$key] = isset($value['$ref']) ? ['type' => 'object'] : self::everyKey($value);
            }
        }
        if (is_array($schema['properties'] ?? null) && array_is_list((array) ($schema['required'] ?? []))) {
            $schema['required'] = array_values(array_diff(array_keys($schema['properties']), ['meta', 'sites', 'seeds']));
        }

        return $schema;
    }
}
