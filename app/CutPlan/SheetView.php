<?php

declare(strict_types=1);

namespace App\CutPlan;

use App\Words\Words;
use Gimbo\Core\CutPlan\Nest\Nesting;
use Gimbo\Core\CutPlan\Part;
use Gimbo\Core\CutPlan\Reading;
use Gimbo\Core\CutPlan\SheetCut;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;

/**
 * A sheet of a plan as the browser shows it: to scale, and its cuts in words, in the order of the hand.
 *
 * @phpstan-type Json array<string, mixed>
 */
final readonly class SheetView
{
    /** Millimetres. */
    private const SEEN_OF_A_ROLL = 60.0;

    public function __construct(private Planned $planned, private Words $words, private Names $names)
    {
    }

    /** @return Json */
    public function json(SheetCut $sheet): array
    {
        [$paper, $row] = explode(' ', $sheet->stock->id);
        $entry = $this->planned->papers[$paper];
        $kept = array_values(array_filter(Drawer::rows($entry), fn (array $one) => $one['id'] === $row))[0];
        $counts = array_count_values(array_filter(array_map(fn (Part $leaf) => $leaf->piece, $sheet->tree->leaves()), is_string(...)));

        $cuts = $this->cuts($sheet->tree, $sheet->rest());
        $scores = ScoreFirst::of($sheet->tree, $this->planned->sized);

        return [
            'paper' => $this->names->paper($paper), 'colour' => $entry->entry['colour'] ?? null, 'width' => $this->names->text($sheet->stock->width), 'height' => $this->names->text($sheet->stock->height),
            'isOffcut' => $sheet->stock->isOffcut, 'place' => $kept['place'], 'times' => $sheet->times, 'tree' => $this->tree($sheet->tree, $sheet->rest()), 'roll' => $this->roll($sheet), 'cuts' => $cuts, 'told' => $this->told($cuts, $scores),
            'scores' => array_map($this->scoreFirst(...), $scores),
            'pieces' => array_map(fn (string $id, int $count): array => ['letter' => $this->names->letters[$id], 'label' => $this->planned->labels[$id], 'count' => $count], array_keys($counts), array_values($counts)),
        ];
    }

    /** @return ?Json of a roll, how much is cut off it and how much stays */
    private function roll(SheetCut $sheet): ?array
    {
        $rest = $sheet->rest()->height ?? Length::zero();

        return $sheet->stock->isRoll ? ['taken' => $this->names->text($sheet->stock->height->minus($rest)), 'rest' => $this->names->text($rest)] : null;
    }

    /**
     * @param ?Part $rest what stays on a roll: only so much of it is drawn
     * @return Json in millimetres, with what each part is
     */
    private function tree(Part $part, ?Part $rest = null): array
    {
        $hidden = $rest === null ? 0.0 : max(0.0, $rest->height->toMillimetres() - self::SEEN_OF_A_ROLL);
        $size = ['width' => round($part->width->toMillimetres(), 4), 'height' => round($part->height->toMillimetres() - $hidden, 4)];
        if ($part->first === null || $part->second === null || $part->at === null) {
            return $size + ['letter' => $part->piece === null ? null : $this->names->letters[$part->piece], 'isOffcut' => $part->isOffcut, 'text' => $this->words->sentence('size.pair', ['width' => $this->names->text($part->width), 'height' => $this->names->text($part->height)])] + $this->slant($part);
        }

        return $size + ['n' => $part->number, 'isUpright' => $part->isUpright, 'at' => round($part->at->toMillimetres(), 4), 'parts' => [$this->tree($part->first), $this->tree($part->second, $rest)]];
    }

    /** @return Json where two lie head to tail, the cut that parts them: from x, y to x, y in the part's frame */
    private function slant(Part $part): array
    {
        $pair = $part->piece !== null && Nesting::isPair($part->piece) ? $this->planned->nesting->pairs[Nesting::single($part->piece)] ?? null : null;
        if ($pair === null) {
            return [];
        }
        // Turned a quarter anticlockwise, what was on the left lies below.
        $height = $pair->box->height->toMillimetres();
        [$from, $to] = array_map(fn (Point $p): Point => $part->isTurned ? new Point($height - $p->y, $p->x) : $p, [$pair->from, $pair->to]);

        return ['slant' => array_map(fn (float $mm): float => round($mm, 4), [$from->x, $from->y, $to->x, $to->y])];
    }

    /** @return list<Json> the cuts in the order of the hand, in words */
    private function cuts(Part $tree, ?Part $rest): array
    {
        $said = [];
        $last = null;
        $trimmer = $this->planned->plan->job->trimmer;
        foreach ($tree->cuts() as $cut) {
            if ($cut->first === null || $cut->second === null || $cut->at === null) {
                continue;
            }
            $reading = Reading::of($cut, $trimmer);
            $at = $this->names->text($reading->at);
            $ways = $cut->isUpright ? 'upright' : 'level';
            $before = $last === null ? null : Reading::of($last, $trimmer);
            $isSet = $last?->isUpright === $cut->isUpright && $before?->at->equals($reading->at) === true && $before->isFromFar === $reading->isFromFar;
            $far = $reading->isFromFar ? 'far.' : '';
            $said[] = [
                'n' => $cut->number, 'at' => $at,
                'says' => $this->words->sentence($isSet ? "plan.cut.again.$ways" : "plan.cut.$far$ways", ['at' => $at]),
                'first' => $this->words->sentence("plan.first.$ways", ['part' => $this->part($cut->first, $rest)]), 'second' => $this->words->sentence("plan.second.$ways", ['part' => $this->part($cut->second, $rest)]),
                'isTurned' => $last !== null && $last->isUpright !== $cut->isUpright, 'isSet' => $isSet,
            ];
            $last = $cut;
        }

        return $said;
    }

    /**
     * The same, where one setting serves for several cuts in a row with the same outcome, told once.
     *
     * @param list<Json> $cuts
     * @param list<ScoreFirst> $scores
     * @return list<array{from: int, to: int, says: string}>
     */
    private function told(array $cuts, array $scores): array
    {
        $told = [];
        for ($i = 0; $i < count($cuts); $i = $n) {
            for ($n = $i + 1; $n < count($cuts) && $cuts[$n]['isSet'] && $cuts[$n]['first'] === $cuts[$i]['first']; $n++);
            $run = array_slice($cuts, $i, $n - $i);
            [$from, $to] = [$cuts[$i]['n'], $cuts[$n - 1]['n']];
            $says = [$cuts[$i]['says'], ...($n - $i > 1 ? [$this->words->sentence('plan.cut.in-a-row', ['count' => $n - $i])] : []), $cuts[$i]['first']];
            $says[] = count(array_unique(array_column($run, 'second'))) === 1 ? $cuts[$i]['second'] : $this->words->sentence('plan.cut.in-the-end', ['second' => $cuts[$n - 1]['second']]);
            $told[] = ['from' => $from, 'to' => $to, 'says' => implode(' ', [...$this->scoresBefore(array_values(array_filter($scores, fn (ScoreFirst $row) => $row->before >= $from && $row->before <= $to)), $n - $i), ...$says])];
        }

        return $told;
    }

    /**
     * @param list<ScoreFirst> $rows before some cuts in a row
     * @return list<string> once where it is the same before each of them
     */
    private function scoresBefore(array $rows, int $cuts): array
    {
        $at = array_map($this->scoresOf(...), $rows);
        if ($cuts < 2 || count($rows) !== $cuts || count(array_unique($at)) !== 1 || count(array_unique(array_map(fn (ScoreFirst $row) => "$row->piece $row->count", $rows))) !== 1) {
            return array_map(fn (ScoreFirst $row): string => $this->scoreFirst($row)['says'], $rows);
        }

        return [$this->words->sentence('plan.score-each', ['at' => $at[0], 'count' => $rows[0]->count, 'letter' => $this->names->letters[$rows[0]->piece], 'saved' => $cuts * count($rows[0]->scores) * ($rows[0]->count - 1)])];
    }

    private function scoresOf(ScoreFirst $row): string
    {
        return $this->words->listed(array_map(fn (array $score): string => $this->words->sentence('plan.score-at', ['at' => $score[0]->text(), 'edge' => $this->words->sentence("edge.$score[1]")]), $row->scores));
    }

    /** @return array{before: int, says: string} */
    private function scoreFirst(ScoreFirst $row): array
    {
        return ['before' => $row->before, 'says' => $this->words->sentence('plan.score-first', ['n' => $row->before, 'at' => $this->scoresOf($row), 'count' => $row->count, 'letter' => $this->names->letters[$row->piece], 'saved' => count($row->scores) * ($row->count - 1)])];
    }

    /** @param ?Part $rest what stays on a roll */
    private function part(Part $part, ?Part $rest): string
    {
        $size = ['width' => $this->names->text($part->width), 'height' => $this->names->text($part->height)];

        return match (true) {
            $part === $rest => $this->words->sentence('plan.part.roll', $size),
            $part->first !== null => $this->words->sentence('plan.part.on', $size),
            $part->piece !== null => $this->words->sentence('plan.part.piece', ['letter' => $this->names->letters[$part->piece], 'piece' => $this->planned->labels[$part->piece]] + $size),
            $part->isOffcut => $this->words->sentence('plan.part.offcut', $size),
            $part->width->isZero() || $part->height->isZero() => $this->words->sentence('plan.part.nothing'),
            default => $this->words->sentence('plan.part.waste', $size),
        };
    }
}
