<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\JsonBody;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Outline\OutlineFile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The outline of what must be held out of a drawing: `{"file": its text, "unit": for a file that does not say its own}`. */
final class OutlineController
{
    public function __invoke(Request $request): JsonResponse
    {
        $body = JsonBody::of($request)->object();
        $read = OutlineFile::read(is_string($body['file'] ?? null) ? $body['file'] : '', is_string($body['unit'] ?? null) ? $body['unit'] : null, (int) config('gimbo.largest_body'));
        $outline = $read->outline;
        // A tenth of a millimetre is written as one; what is none was drawn in inches.
        $text = fn (Length $length): string => LengthFormatter::in($length->ticks % intdiv(Unit::Millimetre->ticks(), 10) === 0 ? Unit::Millimetre : Unit::Inch)->text($length);

        return new JsonResponse([
            'format' => $read->format, 'unit' => $read->unit, 'width' => $text($outline->width), 'height' => $text($outline->height),
            'points' => array_map(fn (Point $p) => [$p->x, $p->y], $outline->points),
        ]);
    }
}
