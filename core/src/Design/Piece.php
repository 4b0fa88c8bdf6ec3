<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Closure as PhpClosure;
use Gimbo\Core\Crease\FoldedBox;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\HeldShut;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Place;
use Gimbo\Core\Settle\Placing;
use Gimbo\Core\Sheet\Lie;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Spec\SizingRequest;

/**
 * One piece of paper of a design: its figures, and, worked out once when first asked for, its pattern, how it folds, where its
 * glue goes and what goes with it.
 */
final class Piece
{
    public readonly string $id;

    public readonly int $count;

    /** What to cut, a whole number of the trimmer's steps. */
    public readonly Rectangle $sheet;

    /** The same before rounding. */
    public readonly Rectangle $exact;

    /** Of the sheet's width; of its height too where that is the same. */
    public readonly MakeUp $sheetMadeOf;

    public readonly ?MakeUp $heightMadeOf;

    /** @var list<Measure> in the order they are set */
    public readonly array $measures;

    public readonly Lie $lie;

    private ?Shape $shape = null;

    private ?Folding $folding = null;

    private ?FoldedBox $folded = null;

    /** @var list<Polygon>|null */
    private ?array $glue = null;

    /** @param PhpClosure(): list<Join> $allJoins everything that is glued in its design */
    public function __construct(public readonly PieceFigures $figures, private readonly Figures $all, private readonly Make $make, private readonly PhpClosure $allJoins)
    {
        [$this->id, $this->count, $this->sheet, $this->exact] = [$figures->id, $figures->count, $figures->sheet, $figures->exact];
        [$this->sheetMadeOf, $this->heightMadeOf, $this->measures, $this->lie] = [$figures->sheetMadeOf, $figures->heightMadeOf, $figures->measures, $figures->lie];
    }

    public function pattern(): Pattern
    {
        return $this->shape()->pattern;
    }

    public function folding(): Folding
    {
        return $this->folding ??= Folding::of($this->pattern());
    }

    /** The smallest box around it when it is folded. */
    public function folded(): FoldedBox
    {
        return $this->folded ??= $this->shape()->box ?? FoldedBox::around($this->folding(), $this->shape()->width);
    }

    /** @return list<Polygon> where glue goes, on the flat sheet, join by join */
    public function glue(): array
    {
        return $this->glue ??= array_values(array_filter(array_map($this->glueOf(...), $this->joins())));
    }

    /** @return list<Join> of this piece with itself */
    public function joins(): array
    {
        return array_values(array_filter(($this->allJoins)(), fn (Join $join) => $join->face->piece === $this->id && $join->isWithinOnePiece()));
    }

    /** Where the contents lie on the flat sheet. */
    public function contents(): ?Polygon
    {
        return $this->shape()->contents;
    }

    /** The face they lie on; null where it holds none there. */
    public function contentsFace(): ?int
    {
        $points = $this->contents()->points ?? [];
        if ($points === []) {
            return null;
        }
        $middle = $points[0]->plus($points[2] ?? $points[0])->times(0.5);
        foreach (array_keys($this->pattern()->faces) as $face) {
            if ($this->pattern()->polygon($face)->containsOrTouches($middle)) {
                return $face;
            }
        }

        return null;
    }

    /** @return array<string, list<float>> see Shape */
    public function bends(): array
    {
        return $this->shape()->bends;
    }

    /** @return list<Place> where each copy belongs when all pieces are put together; empty where it is shown by itself */
    public function places(): array
    {
        return $this->shape()->places;
    }

    /** The outline of an odd-shaped thing that it holds, on the flat sheet; null where that is as its box. */
    public function outline(): ?Polygon
    {
        return HeldOutline::on($this->contents(), $this->request()->item);
    }

    /** What goes with the make and became this piece; null for the make's own. */
    public function added(): ?AddedPiece
    {
        return $this->all->outfit->piece($this->id);
    }

    /**
     * What is seen to lie on its first copy, the lowest first.
     *
     * @return list<array{Polygon, Paper}> a face each, on its flat sheet
     */
    public function laid(): array
    {
        $laid = [];
        foreach ($this->all->outfit->pieces as $added) {
            foreach ($added->kind->isBehind() ? [] : $added->placings as $placing) {
                $chain = $this->all->outfit->chain($placing);
                $root = $chain[count($chain) - 1];
                foreach ($root->piece === $this->id && $root->copy === 1 ? array_keys($added->pattern()->faces) : [] as $f) {
                    $laid[] = [Polygon::of(array_map(fn (Point $p): Point => array_reduce($chain, fn (Point $on, Placing $one) => $one->there($on), $p), $added->pattern()->polygon($f)->points)), $added->paper];
                }
            }
        }

        return $laid;
    }

    /** Its pattern without openings. */
    public function whole(): Pattern
    {
        return $this->added()->whole ?? $this->all->outfit->patterns[$this->id] ?? $this->pattern();
    }

    public function isAdded(): bool
    {
        return $this->added() !== null;
    }

    public function paper(): Paper
    {
        return $this->added()->paper ?? $this->request()->paperOf($this->id);
    }

    /** Where what holds its flap shut lies; null where nothing does. */
    public function closure(): ?HeldShut
    {
        return array_values(array_filter($this->all->outfit->closures, fn (HeldShut $closure) => $closure->piece === $this->id))[0] ?? null;
    }

    /** How thick what lies between it and the panel at the bottom of it is, mm. */
    public function below(): float
    {
        $added = $this->added();

        return $added === null ? 0.0 : $this->all->outfit->below($added);
    }

    private function request(): SizingRequest
    {
        return $this->all->request;
    }

    private function shape(): Shape
    {
        return $this->shape ??= $this->make->shape($this->all, $this->id);
    }

    private function glueOf(Join $join): ?Polygon
    {
        $pattern = $this->pattern();

        return Overlap::onFace($this->folding(), $pattern->faceNamed($join->glued->face), $pattern->faceNamed($join->partner()->face));
    }
}
