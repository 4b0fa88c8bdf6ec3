<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Lie;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sheet\TurnedLayout;

/** One piece of paper of a design in figures: the sheet to cut, and what to set on the tools. */
final readonly class PieceFigures
{
    /**
     * @param Rectangle $sheet what to cut
     * @param Rectangle $exact the same before rounding
     * @param MakeUp $sheetMadeOf of the sheet's width; of its height too where that is the same
     * @param list<Measure> $measures in the order they are set
     */
    private function __construct(
        public string $id,
        public int $count,
        public Rectangle $sheet,
        public Rectangle $exact,
        public MakeUp $sheetMadeOf,
        public ?MakeUp $heightMadeOf,
        public array $measures,
        public Lie $lie,
        public GridSheet|TurnedLayout $layout,
    ) {
    }

    /** @param list<Measure> $more measures after the cuts and scores */
    public static function ofGrid(string $id, GridSheet $grid, array $more = [], int $count = 1): self
    {
        return new self($id, $count, $grid->sheet(), $grid->exact(), $grid->columns->madeOf, $grid->rows->madeOf, [...$grid->measures(), ...$more], Lie::Square, $grid);
    }

    /**
     * How the sheet's sides read on the trimmer's scale, or scales.
     *
     * @return array{width: string, height: string}
     */
    public function cutText(): array
    {
        $cuts = [];
        foreach ($this->measures as $measure) {
            $measure->kind === MeasureKind::Cut && $cuts[$measure->axis->value] = $measure->text();
        }

        return ['width' => $cuts[Axis::Width->value] ?? '', 'height' => $cuts[Axis::Height->value] ?? ''];
    }

    /** The same piece, so many of it. */
    public function times(int $count): self
    {
        return new self($this->id, $count, $this->sheet, $this->exact, $this->sheetMadeOf, $this->heightMadeOf, $this->measures, $this->lie, $this->layout);
    }

    /** @param list<Measure> $measures those of the layout that are set */
    public static function ofSquare(string $id, TurnedLayout $layout, array $measures): self
    {
        return new self($id, 1, Rectangle::square($layout->cut->at), Rectangle::square($layout->cut->exact), $layout->cut->madeOf, null, $measures, $layout->lie, $layout);
    }
}
