<?php

declare(strict_types=1);

use App\Docs\CoreFile;
use App\Docs\FieldsFile;
use App\Docs\OpenApiFile;
use Opis\JsonSchema\Validator;

it('has a description of the API that is current, and types made from it', function () {
    expect(OpenApiFile::kept())->toBe(OpenApiFile::text(), 'run bin/docs');
    $types = base_path('web/src/api/schema.generated.d.ts');
    $made = tempnam(sys_get_temp_dir(), 'types');
    exec(
        'cd '.
            escapeshellarg(base_path()).
            ' && npx --no-install openapi-typescript docs/openapi.json -o '.
            escapeshellarg($made).
            ' --default-non-nullable false 2>&1',
        $said,
        $code,
    );
    expect($code)->toBe(0, implode("\n", $said))->and(file_get_contents($made))->toBe(file_get_contents($types), 'run bin/docs');
    unlink($made);
});

it('gives the front end its fields\' bounds, heads, currencies and units as the core has them', function () {
    expect(file_get_contents(base_path('web/src/api/fields.generated.ts')))
        ->toBe(FieldsFile::text(), 'run bin/docs')
        ->and(file_get_contents(base_path('web/src/api/core.generated.ts')))
        ->toBe(CoreFile::text(), 'run bin/docs');
});

it('shows it as a page and as a file', function () {
    $this->get('/api/docs')->assertOk()->assertSee('PATCH /api/seasons/{season}')->assertSee('schema-SeasonState');
    expect($this->getJson('/api/openapi.json')->assertOk()->json('openapi'))->toBe('3.1.0');
});

it('describes every route, and no other', function () {
    $described = [];
    foreach (json_decode(OpenApiFile::kept(), true)['paths'] as $path => $operations) {
        foreach (array_keys($operations) as $verb) {
            $described[] = strtoupper($verb).' '.$path;
        }
    }
    $routes = [];
    foreach (app('router')->getRoutes() as $route) {
        if (str_starts_with($route->uri(), 'api/') && ! in_array($route->uri(), ['api/docs', 'api/openapi.json'], true)) {
            $routes[] = $route->methods()[0].' /'.$route->uri();
        }
    }
    sort($described);
    sort($routes);
    expect($described)->toBe($routes);
});

it('answers as it is described', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $api = json_decode(OpenApiFile::kept());
    $validator = new Validator();
    foreach (
        [
            'SeasonState' => "/api/seasons/{$season->id}",
            'SeasonList' => '/api/seasons',
            'Catalogue' => '/api/catalogue',
            'Cautions' => '/api/cautions',
            'Account' => '/api/account',
            'Choices' => "/api/seasons/{$season->id}/setups/bench/crops/ink-pot/choices",
            'Working' => "/api/seasons/{$season->id}/setups/bench/workings/cost",
        ] as $name => $url
    ) {
        $schema = (object) ['$ref' => "#/components/schemas/{$name}", 'components' => $api->components];
        $result = $validator->validate(json_decode((string) $this->getJson($url)->assertOk()->getContent()), $schema);
        $error = $result->error();
        while ($error !== null && $error->subErrors() !== []) {
            $error = $error->subErrors()[0];
        }
        expect($result->isValid())->toBeTrue(
            $name.
                ': '.
                ($error === null
                    ? ''
                    : implode('.', $error->data()->fullPath()).' '.$error->message().' '.json_encode($error->args())),
        );
    }
});
