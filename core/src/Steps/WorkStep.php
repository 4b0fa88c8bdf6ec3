<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

use Gimbo\Core\Crease\Join;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Op\SheetOp;

/** One thing the maker does, as data: what, to which piece, how it lies, with what, and what it does to the sheet. See docs/steps.md. */
final readonly class WorkStep
{
    /** @var list<int> indexes into the piece's measures: the readings it sets */
    public array $measures;

    /** @var list<string> the faces it is about, in order */
    public array $faces;

    /** @var list<Join> what is glued to what */
    public array $joins;

    /**
     * @param string $id stays the same whatever the sizes
     * @param string $piece id of a piece
     * @param int $copies how many of the piece it is done to
     * @param float $turn how far the sheet lies turned clockwise from the frame its points are said in, degrees
     * @param ?string $fence the edge or corner that lies at the fence, the rail or the punch
     * @param list<Op> $ops
     * @param list<non-empty-list<Op>> $or other readings of the same lines
     * @param list<string> $advice codes of advice that belongs here
     * @param list<string> $about the faces it is about, where its ops do not say
     * @param array<string, Length> $values figures of its advice
     * @param int $phase nothing of a later phase is begun before all of an earlier one is done, in whichever order one works
     */
    public function __construct(
        public string $id,
        public Deed $do,
        public string $piece,
        public int $copies = 1,
        public ?With $with = null,
        public float $turn = 0.0,
        public ?string $fence = null,
        public array $ops = [],
        public array $or = [],
        public array $advice = [],
        array $about = [],
        public int $phase = 0,
        public array $values = [],
    ) {
        $measures = $faces = $joins = [];
        foreach ($ops as $op) {
            match (true) {
                $op instanceof SheetOp => $measures = $op->measures,
                $op instanceof LineOp => $op->measure === null || in_array($op->measure, $measures, true) || $measures[] = $op->measure,
                $op instanceof FoldOp => $faces[] = $op->moves,
                $op instanceof JoinOp => [$faces[], $joins[]] = [$op->join->glued->face, $op->join],
                default => null,
            };
        }
        $this->measures = $measures;
        $this->faces = $about === [] ? array_values(array_unique($faces)) : $about;
        $this->joins = $joins;
    }

    /**
     * The same step, other things done in it.
     *
     * @param list<Op> $ops
     */
    public function withOps(array $ops): self
    {
        return new self($this->id, $this->do, $this->piece, $this->copies, $this->with, $this->turn, $this->fence, $ops, $this->or, $this->advice, $this->faces, $this->phase, $this->values);
    }

    /** The same step, done with something else; where a punch would have given another size, that is a figure of its advice. */
    public function byOther(With $with, ?string $advice = null, ?Length $size = null): self
    {
        return new self(
            $this->id, $this->do, $this->piece, $this->copies, $with, $this->turn, $this->fence, $this->ops, $this->or, [...$this->advice, ...array_filter([$advice])], $this->faces, $this->phase,
            $this->values + array_filter(['size' => $size]),
        );
    }

    /** @return list<FoldOp> */
    public function folds(): array
    {
        return array_values(array_filter($this->ops, fn (Op $op) => $op instanceof FoldOp));
    }

    /** @return list<JoinOp> */
    public function glued(): array
    {
        return array_values(array_filter($this->ops, fn (Op $op) => $op instanceof JoinOp));
    }
}
