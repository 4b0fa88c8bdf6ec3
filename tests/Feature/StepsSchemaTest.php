<?php

declare(strict_types=1);

namespace Tests\Feature;

use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Specs;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What docs/steps.schema.json promises another program, held against what it is given; opis/json-schema validates. */
final class StepsSchemaTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_steps_have_the_form_that_is_written_down(string $make): void
    {
        mt_srand(12);
        $schema = (string) file_get_contents(__DIR__.'/../../docs/steps.schema.json');
        $validator = new Validator;
        for ($run = 0; $run < 6; $run++) {
            $result = json_decode(json_encode(DesignWriter::write(Sizing::ofEverything()->size($run % 2 === 0 ? Specs::random($make) : Specs::dressed(Specs::random($make)))), JSON_THROW_ON_ERROR), false, 64, JSON_THROW_ON_ERROR);
            $answer = $validator->validate($result, $schema);
            $error = $answer->error();
            self::assertTrue($answer->isValid(), $error === null ? '' : json_encode((new ErrorFormatter)->format($error), JSON_THROW_ON_ERROR));
        }
    }

    public function test_what_has_another_form_is_found(): void
    {
        $result = json_decode(json_encode(DesignWriter::write(Sizing::ofEverything()->size(['make' => 'folded-card', 'holds' => ['width' => '105 mm', 'height' => '148 mm']])), JSON_THROW_ON_ERROR), false, 64, JSON_THROW_ON_ERROR);
        assert($result instanceof \stdClass);
        $result->steps[1]->ops[0]->on = (object) ['edge' => 'middle', 'at' => 3];
        self::assertFalse((new Validator)->validate($result, (string) file_get_contents(__DIR__.'/../../docs/steps.schema.json'))->isValid());
    }
}
