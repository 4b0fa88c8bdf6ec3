<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\PunchedSquare;
use Gimbo\Core\Sheet\ScoredSquare;
use Gimbo\Core\Sheet\TurnedLayout;
use Gimbo\Core\Tool\ToolKind;

/** The two ways to fold a square on its corner: on a punch board, whose notch is the seam, or on a scoring board with a seam of one's own. */
final class TurnedMethod
{
    public const PUNCH = 'punch-board';

    public const SCORE = 'score-board';

    public static function option(): OptionSpec
    {
        return OptionSpec::choice('method', [self::PUNCH, self::SCORE]);
    }

    public static function isPunch(SizingRequest $request): bool
    {
        return $request->options->choice('method') === self::PUNCH;
    }

    public static function seam(SizingRequest $request): Length
    {
        return self::isPunch($request) ? $request->tools->notch : $request->options->length('seam') ?? $request->tools->notch;
    }

    /**
     * @param MakeUp $wide what the face needs between its folds along the diagonal
     * @param MakeUp $high the same across it
     * @param ?MakeUp $depth of a gusset all round
     */
    public static function layout(SizingRequest $request, MakeUp $wide, MakeUp $high, ?MakeUp $depth = null): TurnedLayout
    {
        return self::isPunch($request)
            ? PunchedSquare::of($wide, $high, $request->tools, $depth)
            : ScoredSquare::of($wide, $high, self::seam($request), $request->tools, $depth);
    }

    /** @return list<Measure> in the order they are set: the cuts, the marks or scores, what trims the tips */
    public static function measures(TurnedLayout $layout): array
    {
        $cut = fn (Axis $axis, string $from): Measure => new Measure(MeasureKind::Cut, ToolKind::Trimmer, $axis, $from, $layout->side, $layout->sideMadeOf, setting: 'side');

        return [$cut(Axis::Width, 'left'), $cut(Axis::Height, 'top'), ...$layout->marks, ...$layout->trims];
    }
}
