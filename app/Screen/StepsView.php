<?php

declare(strict_types=1);

namespace App\Screen;

use App\Words\Sentence;
use App\Words\StepWords;
use App\Words\Words;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Steps\WorkStep;

/** Steps as the browser shows them: in words, their figures apart; what is done to the sheet is in the pictures. */
final readonly class StepsView
{
    /** @return list<array<string, mixed>> */
    public static function of(Words $words, Design $design): array
    {
        $said = new StepWords($words, $design);

        return array_map(fn (WorkStep $step, int $i): array => [
            'id' => $step->id,
            'do' => $step->do->value,
            'piece' => $step->piece,
            'copies' => $design->inAll($step->copies),
            'with' => $step->with?->value,
            'turn' => round($step->turn, 4),
            'fence' => $step->fence,
            'measures' => $step->measures,
            'faces' => $step->faces,
            'says' => array_map(fn (Sentence $sentence) => $sentence->json(), $said->of($i)),
            'or' => $said->or($i)?->json(),
            'advice' => array_map(fn (Sentence $sentence) => $sentence->json(), $said->advice($i)),
            'quarterTurns' => $said->quarters($i),
        ], $design->steps(), array_keys($design->steps()));
    }
}
