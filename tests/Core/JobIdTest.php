<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Log\JobId;
use JollyPenny\Core\Living\Log\TaskKind;

it('reads a job back as it was written, whatever its crop is called', function (JobId $id, string $text) {
    expect((string) $id)->toBe($text)->and(JobId::parse($text))->toEqual($id);
})->with([
    'a crop’s' => [JobId::ofCrop('two-one', TaskKind::Soak), 'two-one-soak'],
    'a crop’s whose name begins like another’s' => [JobId::ofCrop('two-one-2', TaskKind::Soak), 'two-one-2-soak'],
    'of a stage' => [JobId::ofCrop('two-one', TaskKind::Soak, 2), 'two-one-soak-2'],
    'of several in a stage' => [JobId::ofCrop('snow', TaskKind::Feed, 1, 2), 'snow-feed-1-2'],
    'a crop that is called like a job' => [JobId::ofCrop('feed-1', TaskKind::Stage, 1), 'feed-1-stage-1'],
    'a look on a day' => [JobId::look('snow', '2027-04-08'), 'snow-look-2027-04-08'],
    'shared' => [JobId::shared(TaskKind::Feed, '2027-04-21'), 'feed-2027-04-21'],
    'of a mix' => [JobId::shared(TaskKind::Soak, '2027-04-01', 'home-mix-2'), 'soak-home-mix-2-2027-04-01'],
    'of pellets' => [JobId::shared(TaskKind::Soak, '2027-04-01', ''), 'soak--2027-04-01'],
    'a kind of two words' => [JobId::ofCrop('snow', TaskKind::PlantOut), 'snow-plant_out'],
]);

it('takes what is no job of a plan for none', function (?string $text) {
    expect(JobId::parse($text))->toBeNull();
})->with([null, '', 'season-over', 'hours', 'snow', 'snow-dance-1', '-sow']);

it('tells two crops apart whose names begin alike', function () {
    $id = JobId::parse('two-one-2-soak');
    expect($id?->isOf('two-one', TaskKind::Soak, 0))->toBeFalse()
        ->and($id?->isOf('two-one-2', TaskKind::Soak, 0))->toBeTrue()
        ->and($id?->isOf('two-one-2', TaskKind::Soak, 1))->toBeFalse()
        ->and($id?->isOf('two-one-2', TaskKind::Feed, 0))->toBeFalse();
});
