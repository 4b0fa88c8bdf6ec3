<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\PunchedSquare;
use Gimbo\Core\Sheet\ScoredSquare;
use Gimbo\Core\Sheet\TipChoice;
use Gimbo\Core\Sheet\TurnedLayout;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;

/** The two ways to fold a square on its corner: on a punch board, whose notch is the seam, or on a scoring board with a seam of one's own. */
final class TurnedMethod
{
    public const PUNCH = 'punch-board';

    public const SCORE = 'score-board';

    public const SEAM = 'seam';

    public static function option(): Row
    {
        return Row::choice('method', [self::PUNCH, self::SCORE]);
    }

    public static function seamOption(): Row
    {
        return Row::length('seam')->onlyWith(['method'], self::SCORE);
    }

    public static function isPunch(SizingRequest $request): bool
    {
        return $request->options->choice('method') === self::PUNCH;
    }

    public static function seam(SizingRequest $request): Length
    {
        return self::isPunch($request) ? $request->tools->notch : $request->options->length(self::SEAM) ?? $request->tools->notch;
    }

    /**
     * @param MakeUp $wide what the face needs between its folds along the diagonal
     * @param MakeUp $high the same across it
     * @param ?MakeUp $depth of a gusset all round
     * @param ?TipChoice $tips none where its tips lose only what they must
     */
    public static function plan(SizingRequest $request, Planning $planning, string $piece, MakeUp $wide, MakeUp $high, ?MakeUp $depth = null, ?TipChoice $tips = null): Plan
    {
        $sheet = self::isPunch($request)
            ? PunchedSquare::plan($planning, $piece, $wide, $high, $depth, $tips)
            : ScoredSquare::plan($planning, $piece, $wide, $high, self::seam($request), $depth, $tips);

        return new Plan($request, $planning->settings(), [$piece => $sheet]);
    }

    /**
     * A pattern with the card in the middle of its face.
     *
     * @param Rectangle $card what it holds, in its own width and height
     * @param bool $isUpright whether that goes in turned, its height along the face's width
     */
    public static function shape(TurnedLayout $layout, Pattern $pattern, Rectangle $card, bool $isUpright): Shape
    {
        $square = $layout->square;
        $width = ($isUpright ? $square->point(0, 1) : $square->point(1, 0))->minus($square->point(0, 0));
        $lying = $isUpright ? $card->turned() : $card;

        return new Shape($pattern, $square->centred($lying->width->toMillimetres(), $lying->height->toMillimetres()), width: $width);
    }
}
