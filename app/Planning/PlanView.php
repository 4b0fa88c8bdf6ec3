<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Entry;
use App\Models\SheetCut as Booked;
use App\Words\Words;
use Gimbo\Core\CutPlan\Missing;
use Gimbo\Core\CutPlan\Part;
use Gimbo\Core\CutPlan\Run;
use Gimbo\Core\CutPlan\SheetCut;
use Gimbo\Core\CutPlan\Wanted;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Measure\Unit;

/**
 * A plan as the browser shows it: sheets with their cuts in words, what is missing, what is left, what is cut already.
 *
 * @phpstan-type Json array<string, mixed>
 */
final readonly class PlanView
{
    /** Millimetres. */
    private const SEEN_OF_A_ROLL = 60.0;

    private LengthFormatter $figures;

    private LengthFormatter $others;

    /** @var array<string, string> a letter a piece, by id */
    private array $letters;

    public function __construct(private Planned $planned, private Words $words)
    {
        $first = array_values($planned->sized)[0] ?? null;
        $system = $first->request->system ?? System::Imperial;
        $this->figures = LengthFormatter::for($system);
        $this->others = LengthFormatter::for($system === System::Imperial ? System::Metric : System::Imperial);
        $letters = [];
        foreach (array_keys($planned->labels) as $n => $id) {
            $letters[$id] = self::letter($n);
        }
        $this->letters = $letters;
    }

    /** A to Z, then AA. */
    private static function letter(int $n): string
    {
        return ($n >= 26 ? self::letter(intdiv($n, 26) - 1) : '').chr(65 + $n % 26);
    }

    /** @return Json */
    public function json(): array
    {
        $planned = $this->planned;

        return [
            'id' => $planned->kept->id, 'name' => $planned->kept->name, 'asked' => (object) $planned->kept->asked, 'stamp' => $planned->stamp(),
            'items' => array_map(fn (array $item): array => $item + ['name' => $planned->designs[$item['design']]->name ?? null], $planned->asked->items),
            'pieces' => array_map($this->piece(...), $planned->wanted),
            'papers' => array_map(fn (string $name, ?string $entry): array => ['named' => $name, 'entry' => $entry], array_keys($planned->named), array_values($planned->named)),
            'sheets' => array_map($this->sheet(...), $planned->plan->sheets),
            'missing' => array_map(fn (Missing $one): array => ['id' => $one->piece, 'label' => $planned->labels[$one->piece] ?? $one->piece, 'count' => $one->count, 'why' => $one->why], $planned->plan->missing),
            'shopping' => array_map(fn (array $one): array => ['width' => $this->text($one['width']), 'height' => $this->text($one['height']), 'name' => $this->paper($one['paper'])] + $one, $planned->shopping()),
            'offcuts' => array_map(fn (array $one): array => ['paper' => $this->paper($one[0]), 'width' => $this->text($one[1]->width), 'height' => $this->text($one[1]->height), 'count' => $one[2]], $planned->plan->offcuts()),
            'cut' => array_map($this->booked(...), $planned->cuts), 'envelopes' => array_map($this->envelope(...), Envelopes::of($planned)), 'nesting' => $this->nesting(), 'laid' => $planned->laid(), 'runs' => array_map($this->run(...), array_keys($planned->asked->runs), $planned->asked->runs), 'hand' => array_map(fn (int $sheet, int $made): array => ['sheet' => $sheet, 'made' => $made], array_keys($planned->inHand()), array_values($planned->inHand())), 'mayImprove' => ! $planned->found->isLeast(),
        ];
    }

    /** @return Json */
    private function piece(Wanted $piece): array
    {
        return [
            'id' => $piece->id, 'letter' => $this->letters[$piece->id], 'label' => $this->planned->labels[$piece->id], 'width' => $this->text($piece->width), 'height' => $this->text($piece->height),
            'count' => $piece->count, 'named' => $this->planned->paperOf[$piece->id], 'paper' => $piece->paper === '' ? null : $piece->paper, 'mayTurn' => $piece->mayTurn, 'says' => $this->parting($piece->id),
        ];
    }

    /** @return Json */
    private function sheet(SheetCut $sheet): array
    {
        [$paper, $row] = explode(' ', $sheet->stock->id);
        $entry = $this->planned->papers[$paper];
        $kept = array_values(array_filter(Drawer::rows($entry), fn (array $one) => $one['id'] === $row))[0];
        $counts = array_count_values(array_filter(array_map(fn (Part $leaf) => $leaf->piece, $sheet->tree->leaves()), is_string(...)));

        $cuts = $this->cuts($sheet->tree, $sheet->rest());
        $scores = ScoreFirst::of($sheet->tree, $this->planned->sized);

        return [
            'paper' => $this->paper($paper), 'colour' => $entry->entry['colour'] ?? null, 'width' => $this->text($sheet->stock->width), 'height' => $this->text($sheet->stock->height),
            'isOffcut' => $sheet->stock->isOffcut, 'place' => $kept['place'], 'times' => $sheet->times, 'tree' => $this->tree($sheet->tree, $sheet->rest()), 'roll' => $this->roll($sheet), 'cuts' => $cuts, 'told' => $this->told($cuts, $scores),
            'scores' => array_map($this->scoreFirst(...), $scores),
            'pieces' => array_map(fn (string $id, int $count): array => ['letter' => $this->letters[$id], 'label' => $this->planned->labels[$id], 'count' => $count], array_keys($counts), array_values($counts)),
        ];
    }

    /**
     * @param array{pieces: list<string>, along: 'width'|'height'} $asked
     * @return Json
     */
    private function run(int $i, array $asked): array
    {
        $plan = $this->planned->plan;
        $n = array_search("run $i", array_map(fn (Run $run) => $run->id, $plan->job->runs), true);
        $count = $n === false ? 0 : $plan->runs[$n];
        $says = match (true) {
            $n === false => $this->words->sentence('plan.run.none'),
            $count === 0 => $this->words->sentence('plan.run.not'),
            default => $this->words->sentence('plan.run.says', ['count' => $count, 'extra' => $this->area($count * $plan->job->runs[$n]->extra($plan->job->trimmer->kerf)), 'sheets' => $this->planned->sheetsForRuns()]),
        };

        return [
            'letters' => array_map(fn (string $id): string => $this->letters[$id] ?? '?', $asked['pieces']), 'along' => $asked['along'],
            'says' => $says,
        ];
    }

    /** @return Json */
    private function envelope(Envelopes $of): array
    {
        return [
            'entry' => $of->entry->id, 'name' => $this->paper($of->entry->id), 'width' => $of->entry->entry['width'], 'height' => $of->entry->entry['height'], 'place' => $of->entry->entry['place'] ?? '',
            'left' => $of->left, 'there' => $of->there, 'packs' => $of->packs(), 'pack' => $of->entry->entry['pack'], 'isTight' => array_filter($of->rooms, Envelopes::isTight(...)) !== [],
            'says' => array_map($this->room(...), array_keys($of->rooms), array_values($of->rooms)),
        ];
    }

    /** @param array{Length, Length} $room */
    private function room(string $design, array $room): string
    {
        return $this->words->sentence(match (true) {
            Length::min(...$room)->isLessThan(Length::zero()) => 'plan.envelope.too-small',
            Envelopes::isTight($room) => 'plan.envelope.tight',
            default => 'plan.envelope.room',
        }, ['design' => $design, 'long' => $this->text($room[0]), 'short' => $this->text($room[1])]);
    }

    private function area(float $squareMillimetres): string
    {
        return $this->figures->unit() === Unit::Inch ? round($squareMillimetres / 645.16, 1).' in²' : round($squareMillimetres / 100).' cm²';
    }

    /** Of a piece, or of two of it head to tail, whichever is cut. */
    private function letterOf(string $id): string
    {
        $cut = array_column(array_map(fn (Wanted $piece): array => [$piece->id, true], $this->planned->wanted), 1, 0);

        return match (true) {
            isset($cut[$id]) => $this->letters[$id],
            isset($cut[Nesting::pairOf($id)]) => $this->letters[Nesting::pairOf($id)],
            default => $this->planned->labels[$id] ?? '?',
        };
    }

    /** How two that lie head to tail are parted; null for what is cut alone. */
    private function parting(string $id): ?string
    {
        $pair = Nesting::isPair($id) ? $this->planned->nesting->pairs[Nesting::single($id)] ?? null : null;
        if ($pair === null) {
            return null;
        }
        $isAcross = abs($pair->from->y - $pair->to->y) > abs($pair->box->height->toMillimetres()) - 0.001;

        return $this->words->sentence($isAcross ? 'plan.pair.across' : 'plan.pair.level', ['from' => $this->text(Length::nearestTo($isAcross ? $pair->from->x : $pair->from->y)), 'to' => $this->text(Length::nearestTo($isAcross ? $pair->to->x : $pair->to->y))]);
    }

    /** @return list<Json> what may lie head to tail, and what may be made of corners that come off */
    private function nesting(): array
    {
        $nesting = $this->planned->nesting;
        $offers = [];
        foreach ($nesting->pairs as $id => $pair) {
            $offers[] = ['kind' => 'nested', 'piece' => $id, 'isDone' => in_array($id, $this->planned->asked->nested, true), 'says' => $this->words->sentence('plan.nest.pair', [
                'piece' => $this->letterOf($id), 'width' => $this->text($pair->box->width), 'height' => $this->text($pair->box->height), 'saved' => (int) round(100 * $pair->saved),
            ])];
        }
        foreach ($nesting->corners as $id => $from) {
            $letters = array_values(array_unique(array_map(fn (array $one): string => $this->letterOf($one['from']), $from)));
            $offers[] = ['kind' => 'corners', 'piece' => $id, 'isDone' => in_array($id, $this->planned->asked->corners, true), 'says' => $this->words->sentence('plan.nest.corners', ['piece' => $this->letterOf($id), 'count' => array_sum(array_column($from, 'count')), 'letters' => $this->words->listed($letters)])];
        }

        return $offers;
    }

    /** @return ?Json of a roll, how much is cut off it and how much stays */
    private function roll(SheetCut $sheet): ?array
    {
        $rest = $sheet->rest()->height ?? Length::zero();

        return $sheet->stock->isRoll ? ['taken' => $this->text($sheet->stock->height->minus($rest)), 'rest' => $this->text($rest)] : null;
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
            return $size + ['letter' => $part->piece === null ? null : $this->letters[$part->piece], 'isOffcut' => $part->isOffcut, 'text' => $this->words->sentence('size.pair', ['width' => $this->text($part->width), 'height' => $this->text($part->height)])];
        }

        return $size + ['n' => $part->number, 'isUpright' => $part->isUpright, 'at' => round($part->at->toMillimetres(), 4), 'parts' => [$this->tree($part->first), $this->tree($part->second, $rest)]];
    }

    /** @return list<Json> the cuts in the order of the hand, in words */
    private function cuts(Part $tree, ?Part $rest): array
    {
        $said = [];
        $last = null;
        foreach ($tree->cuts() as $cut) {
            if ($cut->first === null || $cut->second === null || $cut->at === null) {
                continue;
            }
            $reading = Reading::of($cut, $this->planned->asked);
            $at = $this->text($reading->at);
            $ways = $cut->isUpright ? 'upright' : 'level';
            $before = $last === null ? null : Reading::of($last, $this->planned->asked);
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

        return [$this->words->sentence('plan.score-each', ['at' => $at[0], 'count' => $rows[0]->count, 'letter' => $this->letters[$rows[0]->piece], 'saved' => $cuts * count($rows[0]->scores) * ($rows[0]->count - 1)])];
    }

    private function scoresOf(ScoreFirst $row): string
    {
        return $this->words->listed(array_map(fn (array $score): string => $this->words->sentence('plan.score-at', ['at' => $score[0]->text(), 'edge' => $this->words->sentence("edge.$score[1]")]), $row->scores));
    }

    /** @return array{before: int, says: string} */
    private function scoreFirst(ScoreFirst $row): array
    {
        return ['before' => $row->before, 'says' => $this->words->sentence('plan.score-first', ['n' => $row->before, 'at' => $this->scoresOf($row), 'count' => $row->count, 'letter' => $this->letters[$row->piece], 'saved' => count($row->scores) * ($row->count - 1)])];
    }

    /** @param ?Part $rest what stays on a roll */
    private function part(Part $part, ?Part $rest): string
    {
        $size = ['width' => $this->text($part->width), 'height' => $this->text($part->height)];

        return match (true) {
            $part === $rest => $this->words->sentence('plan.part.roll', $size),
            $part->first !== null => $this->words->sentence('plan.part.on', $size),
            $part->piece !== null => $this->words->sentence('plan.part.piece', ['letter' => $this->letters[$part->piece], 'piece' => $this->planned->labels[$part->piece]] + $size),
            $part->isOffcut => $this->words->sentence('plan.part.offcut', $size),
            $part->width->isZero() || $part->height->isZero() => $this->words->sentence('plan.part.nothing'),
            default => $this->words->sentence('plan.part.waste', $size),
        };
    }

    /** @return Json */
    private function booked(Booked $cut): array
    {
        $pieces = array_map(fn (string $id, int $count): array => ['letter' => $id === $cut->paper ? $this->words->sentence('plan.envelope') : $this->letters[$id] ?? '?', 'label' => $this->planned->labels[$id] ?? $this->words->sentence('plan.gone'), 'count' => $count], array_keys($cut->pieces), array_values($cut->pieces));

        return ['id' => $cut->id, 'paper' => $this->paper($cut->paper), 'sheet' => $cut->sheet, 'pieces' => $pieces, 'isMissed' => $cut->is_missed, 'at' => $cut->cut_at];
    }

    private function paper(string $id): string
    {
        $entry = $this->planned->papers[$id] ?? Entry::query()->find($id);
        $name = $entry?->entry['name'] ?? null;

        return is_string($name) ? $name : $this->words->sentence('plan.gone');
    }

    /** In the first design's system; in the other where it is exact only there. */
    public function text(Length $length): string
    {
        $isOther = ! $this->figures->isExact($length) && $this->others->isExact($length);

        return ($isOther ? $this->others : $this->figures)->rounded($length);
    }
}
