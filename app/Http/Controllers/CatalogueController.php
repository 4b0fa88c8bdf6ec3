<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Gimbo\Core\Exchange\StillWriter;
use Gimbo\Core\Exchange\ThumbnailWriter;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\NamedSize;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Sizing;
use Illuminate\Http\JsonResponse;

/** What can be made and which sizes have names. */
final class CatalogueController
{
    /** What the pictures of the makes are drawn for: a quarter-letter card. */
    private const SAMPLE = ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/4 in'];

    public function __invoke(Sizing $sizing): JsonResponse
    {
        return new JsonResponse([
            'makes' => array_map(fn (Make $make) => [
                'id' => $make->id(),
                'drawing' => ThumbnailWriter::write($sizing->size(['make' => $make->id(), 'holds' => self::SAMPLE])->pieces[0]),
                'picture' => StillWriter::write($sizing->size(['make' => $make->id(), 'holds' => self::SAMPLE])),
                'options' => array_map(fn (OptionSpec $option) => [
                    'id' => $option->id, 'kind' => $option->kind->value, 'choices' => $option->choices, 'least' => $option->least, 'most' => $option->most,
                    'when' => $option->when === null ? null : ['option' => $option->when[0], 'choice' => $option->when[1]],
                ], $make->options()),
            ], $sizing->makes->list()),
            'sizes' => array_map(self::size(...), NamedSize::all()),
        ]);
    }

    /** @return array<string, mixed> */
    private static function size(NamedSize $size): array
    {
        $words = LengthFormatter::for($size->isMetric() ? System::Metric : System::Imperial);

        return [
            'id' => $size->id, 'kind' => $size->kind, 'source' => $size->source,
            'width' => $words->text($size->size->width), 'height' => $words->text($size->size->height),
        ];
    }
}
