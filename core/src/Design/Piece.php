<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Crease\FoldedBox;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Paper\Rectangle;

/** One piece of paper of a design: the sheet to cut, what to set on the tools, and the pattern it becomes. */
final readonly class Piece
{
    /**
     * @param Rectangle $sheet what to cut, a whole number of the trimmer's steps
     * @param Rectangle $exact the same before rounding
     * @param MakeUp $sheetMadeOf of the sheet's width; of its height too where that is the same
     * @param list<Measure> $measures in the order they are set
     * @param array<string, Polygon> $glue where glue goes, by the face it is put on, on the flat sheet
     * @param ?Polygon $contents where the contents lie on the flat sheet
     * @param array<string, list<float>> $bends of creases that fold only together: the angle of each in degrees, at equal shares of the way from flat to folded
     * @param list<Place> $places where each copy belongs when all pieces are put together; empty where it is shown by itself
     */
    public function __construct(
        public string $id,
        public int $count,
        public Rectangle $sheet,
        public Rectangle $exact,
        public MakeUp $sheetMadeOf,
        public array $measures,
        public Pattern $pattern,
        public Folding $folding,
        public FoldedBox $folded,
        public array $glue = [],
        public ?Polygon $contents = null,
        public Lie $lie = Lie::Square,
        public ?MakeUp $heightMadeOf = null,
        public array $bends = [],
        public array $places = [],
    ) {
    }

    /** The same piece, with a place among the others for each of its copies. */
    public function placed(Place ...$places): self
    {
        return new self(
            $this->id, $this->count, $this->sheet, $this->exact, $this->sheetMadeOf, $this->measures, $this->pattern, $this->folding, $this->folded,
            $this->glue, $this->contents, $this->lie, $this->heightMadeOf, $this->bends, array_values($places),
        );
    }
}
