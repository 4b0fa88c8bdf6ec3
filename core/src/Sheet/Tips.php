<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Setting\Axis;
use Gimbo\Core\Setting\Measure;
use Gimbo\Core\Setting\MeasureKind;
use Gimbo\Core\Setting\Planning;
use Gimbo\Core\Setting\Settings;
use Gimbo\Core\Tool\ToolKind;

/** What comes off the tips of a turned square's flaps: those that reach past the opposite fold, or nearer to it than a hand can miss. */
final readonly class Tips
{
    private const SIDES = 'side-tips';

    private const LONG = 'long-tips';

    private function __construct(private string $piece)
    {
    }

    /** A trimmer too coarse to leave anything of a flap trims nothing, and the fit says so. */
    public static function plan(Planning $planning, string $piece, TurnedSquare $square): self
    {
        foreach ([self::SIDES => [Flap::LEFT, Flap::RIGHT, $square->width], self::LONG => [Flap::BOTTOM, Flap::TOP, $square->height]] as $name => [$one, $other, $face]) {
            $reach = max($square->reach($one), $square->reach($other));
            $madeOf = MakeUp::of(
                new Term(TermKind::Reach, Length::nearestTo($reach)),
                new Term(TermKind::Face, Length::nearestTo(-$face)),
                new Term(TermKind::Margin, Fit::handMiss()),
            );
            $off = $planning->tools->cut->up($madeOf->figure());
            if ($off->isPositive() && $off->toMillimetres() < min($square->reach($one), $square->reach($other))) {
                $planning->set($piece, $name, ToolKind::Trimmer, $madeOf->figure(), $off, $madeOf);
            }
        }

        return new self($piece);
    }

    /**
     * @return array{Length, Length, list<Measure>} off the side flaps, off the top and bottom flaps, and the readings
     *
     * @throws NothingLeft where nothing of a flap is left
     */
    public function settle(Settings $settings, TurnedSquare $square): array
    {
        [$side, $sides] = $this->trim($settings, self::SIDES, $square, Axis::Diagonal, ['top-left' => Flap::LEFT, 'bottom-right' => Flap::RIGHT]);
        [$long, $longs] = $this->trim($settings, self::LONG, $square, Axis::CrossDiagonal, ['bottom-left' => Flap::BOTTOM, 'top-right' => Flap::TOP]);

        return [$side, $long, [...$sides, ...$longs]];
    }

    /**
     * @param non-empty-array<string, string> $tips flap by the corner its tip lies in
     * @return array{Length, list<Measure>}
     */
    private function trim(Settings $settings, string $name, TurnedSquare $square, Axis $axis, array $tips): array
    {
        $setting = $settings->find($this->piece, $name);
        if ($setting === null) {
            return [Length::zero(), []];
        }
        $setting->at->isPositive() && $setting->at->toMillimetres() < min(array_map($square->reach(...), $tips)) || throw NothingLeft::of('flap');
        $measures = [];
        foreach ($tips as $corner => $flap) {
            $measures[] = Measure::of($setting, MeasureKind::Trim, $axis, $corner, [$flap]);
        }

        return [$setting->at, $measures];
    }
}
