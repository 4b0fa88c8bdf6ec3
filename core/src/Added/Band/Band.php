<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Band;

use Gimbo\Core\Added\AddedWork;
use Gimbo\Core\Added\Edges;
use Gimbo\Core\Added\Outfitting;
use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Added\Stage;
use Gimbo\Core\Added\Worked;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\AddedKind;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/** Paper once round the finished thing. */
final class Band implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'band';
    }

    public function rows(): array
    {
        return [
            Row::length('width')->emptied()->usually(fn () => Length::inches(3, 2)),
            Row::length('overlap')->emptied()->usually(fn () => Length::inches(3, 4)),
            Row::choice('edge', Edges::ALL),
            Row::of('paper', Kind::PaperId),
        ];
    }

    public function stage(): Stage
    {
        return Stage::Around;
    }

    /** Once round the finished thing the shorter way: each strip as long as its share of that, and the overlap. */
    public function fitOut(Addition $addition, Outfitting $on): void
    {
        if (! $on->faces->isHeldByBand) {
            $on->findsNothing($addition);

            return;
        }
        $paper = $on->request->paperNamed($addition->paper());
        [$overlap, $cut, $round] = [$addition->length('overlap'), $on->request->tools->cut, $on->round()];
        $longest = $paper->sheet === null ? null : $cut->down(Length::max($paper->sheet->width, $paper->sheet->height));
        $strips = 1;
        $long = fn (int $strips): Length => Length::atLeast($round->toMillimetres() / $strips)->plus($overlap);
        while ($longest !== null && $cut->up($long($strips))->isMoreThan($longest) && $longest->isMoreThan($overlap->times(2))) {
            $strips++;
        }
        $share = new Term(TermKind::Round, $long($strips)->minus($overlap), null, $strips === 1 ? null : $round);
        $grid = $on->sheet(
            $addition->id, MakeUp::of($share, new Term(TermKind::Overlap, $overlap)),
            MakeUp::of(new Term(TermKind::Asked, $addition->length('width'), Dimension::Height)),
        );
        if ($grid === null) {
            return;
        }
        $outline = Polygon::rectangle(0, 0, $grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres());
        $have = $grid->columns->total->times($strips)->minus($round)->timesNearest(1, $strips);
        $on->fit(Fit::plain('band-overlaps', $overlap, $have, $overlap->timesNearest(1, 2), Length::zero())->about($addition->id));
        $on->fit(...Worked::edge($addition, $addition->id, $grid, $on->request->tools->punches));
        $on->add(new AddedPiece(
            new AddedKind($this->id(), hasEdges: true, loose: 'goes-round'), $addition, $paper,
            PieceFigures::ofGrid($addition->id, $grid, count: $strips), $outline, Outfitting::plain($this->id(), $outline),
        ));
    }

    /** Its strips are joined to one another, and put round at the end. */
    public function work(Addition $addition, AddedWork $work): void
    {
        $phase = $work->lastPhase();
        foreach ($work->loosePieces($addition) as $piece) {
            $id = $piece->id();
            $work->after(...$work->cut($piece, $phase));
            if ($piece->figures->count > 1) {
                $work->after(new WorkStep("$id/join", Deed::Glue, $id, 1, With::Tape, ops: $this->joins($piece), phase: $phase));
            }
            $overlap = ['overlap' => $addition->length('overlap')];
            $work->after(new WorkStep("$id/round", Deed::Close, $id, advice: ['band-is-joined-at-the-back'], phase: $phase, values: $overlap));
        }
    }

    public function remedies(Fit $fit, Addition $addition): array
    {
        return Edges::plain($fit, $addition);
    }

    /** @return list<JoinOp> each strip on the end of the one before */
    private function joins(AddedPiece $piece): array
    {
        $bench = AddedWork::bench($piece->figures);
        $overlap = $piece->addition->length('overlap')->toMillimetres();
        $ends = [[0.0, $bench->width - $overlap], [$overlap, $bench->width]];
        $joins = [];
        for ($copy = 2; $copy <= $piece->figures->count; $copy++) {
            $join = Join::of(JoinEnd::inside($piece->id(), $this->id(), $copy), JoinEnd::outside($piece->id(), $this->id(), $copy - 1));
            $meet = array_map(fn (array $x): array => array_map(fn (float $x) => AddedWork::found($bench, new Point($x, 0)), $x), $ends);
            $joins[] = new JoinOp($join, meet: $meet);
        }

        return $joins;
    }
}
