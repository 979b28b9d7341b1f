<?php

declare(strict_types=1);

use Tests\Answers\Book;
use Tests\Answers\Difference;
use Tests\Answers\ScreenAnswers;
use Tests\Answers\Story;
use Tests\Answers\Teller;

// The answer book: everything the program says of some twenty seasons, kept as text. It does not prove an answer right (the second accounts
// and outside references do), it lets no change be silent. bin/answers writes it anew.

it('says of every story what the book says', function (string $name) {
    [$book, $screens] = Teller::tell($this, Story::named($name));
    if (getenv('JOLLY_ANSWERS') === 'write') {
        $book->write($name);
        $screens === null || file_put_contents(ScreenAnswers::file($name), $screens);
    }
    expect(Difference::words($name, Book::kept($name), $book->sections()))->toBe('');
    // What screens are drawn from is what the book says, on its first day.
    $screens === null || expect($screens === file_get_contents(ScreenAnswers::file($name)))->toBeTrue('bin/answers writes what screens are drawn from anew');
})->with(Story::names());
