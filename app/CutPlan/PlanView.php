<?php

declare(strict_types=1);

namespace App\CutPlan;

use App\Models\CutSheet as Booked;
use App\Words\Words;
use Gimbo\Core\CutPlan\Missing;
use Gimbo\Core\CutPlan\Nest\Nesting;
use Gimbo\Core\CutPlan\Run;
use Gimbo\Core\CutPlan\Wanted;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Settle\Enveloped;

/**
 * A plan as the browser shows it: sheets with their cuts in words, what is missing, what is left, what is cut already.
 *
 * @phpstan-type Json array<string, mixed>
 */
final readonly class PlanView
{
    private Names $names;

    private SheetView $sheets;

    public function __construct(private Planned $planned, private Words $words)
    {
        $this->names = new Names($planned, $words);
        $this->sheets = new SheetView($planned, $words, $this->names);
    }

    /** @return Json */
    public function json(): array
    {
        $planned = $this->planned;
        $hand = $planned->inHand();

        return [
            'id' => $planned->kept->id, 'name' => $planned->kept->name, 'asked' => (object) $planned->kept->asked, 'stamp' => $planned->stamp(),
            'items' => array_map(fn (array $item): array => $item + ['name' => $planned->designs[$item['design']]->name ?? null, 'goesInto' => $planned->goesInto[$item['design']] ?? []], $planned->asked->items),
            'pieces' => array_map($this->piece(...), $planned->wanted),
            'papers' => array_map(fn (string $name, ?string $entry): array => ['named' => $name, 'entry' => $entry], array_keys($planned->named), array_values($planned->named)),
            'sheets' => array_map($this->sheets->json(...), $planned->plan->sheets),
            'missing' => array_map(fn (Missing $one): array => ['id' => $one->piece, 'label' => $planned->labels[$one->piece] ?? $one->piece, 'count' => $one->count, 'why' => $one->why], $planned->plan->missing),
            'shopping' => array_map(fn (array $one): array => ['width' => $this->names->text($one['width']), 'height' => $this->names->text($one['height']), 'name' => $this->names->paper($one['paper'])] + $one, $planned->shopping()),
            'offcuts' => array_map(fn (array $one): array => ['paper' => $this->names->paper($one[0]), 'width' => $this->names->text($one[1]->width), 'height' => $this->names->text($one[1]->height), 'count' => $one[2]], $planned->plan->offcuts()),
            'cut' => array_map($this->booked(...), $planned->cuts),
            'envelopes' => array_map($this->envelope(...), Envelopes::of($planned)),
            'runs' => array_map($this->run(...), array_keys($planned->asked->runs), $planned->asked->runs),
            'nesting' => $this->nesting(),
            'hand' => array_map(fn (int $sheet, int $made): array => ['sheet' => $sheet, 'made' => $made], array_keys($hand), array_values($hand)),
            'laid' => $planned->laid(), 'mayImprove' => ! $planned->found->isLeast(),
        ];
    }

    /** @return Json */
    private function piece(Wanted $piece): array
    {
        return [
            'id' => $piece->id, 'letter' => $this->names->letters[$piece->id], 'label' => $this->planned->labels[$piece->id], 'width' => $this->names->text($piece->width), 'height' => $this->names->text($piece->height),
            'count' => $piece->count, 'named' => $this->planned->paperOf[$piece->id], 'paper' => $piece->paper === '' ? null : $piece->paper, 'mayTurn' => $piece->mayTurn, 'says' => $this->parting($piece->id),
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
            'letters' => array_map(fn (string $id): string => $this->names->letters[$id] ?? '?', $asked['pieces']), 'along' => $asked['along'],
            'says' => $says,
        ];
    }

    /** @return Json */
    private function envelope(Envelopes $of): array
    {
        return [
            'entry' => $of->entry->id, 'name' => $this->names->paper($of->entry->id), 'width' => $of->entry->entry['width'], 'height' => $of->entry->entry['height'], 'place' => $of->entry->entry['place'] ?? '',
            'left' => $of->left, 'there' => $of->there, 'packs' => $of->packs(), 'pack' => $of->entry->entry['pack'], 'isTight' => $of->isTight(),
            'says' => array_map($this->room(...), array_keys($of->rooms), array_values($of->rooms)),
        ];
    }

    private function room(string $design, Enveloped $room): string
    {
        return $this->words->sentence(match (true) {
            $room->isTooLarge() => 'plan.envelope.too-small',
            $room->isTight() => 'plan.envelope.tight',
            default => 'plan.envelope.room',
        }, ['design' => $design, 'long' => $this->names->text($room->long), 'short' => $this->names->text($room->short)]);
    }

    private function area(float $squareMillimetres): string
    {
        return $this->names->unit() === Unit::Inch ? round($squareMillimetres / 645.16, 1).' in²' : round($squareMillimetres / 100).' cm²';
    }

    /** Of a piece, or of two of it head to tail, whichever is cut. */
    private function letterOf(string $id): string
    {
        $cut = array_column(array_map(fn (Wanted $piece): array => [$piece->id, true], $this->planned->wanted), 1, 0);

        return match (true) {
            isset($cut[$id]) => $this->names->letters[$id],
            isset($cut[Nesting::pairOf($id)]) => $this->names->letters[Nesting::pairOf($id)],
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

        return $this->words->sentence($isAcross ? 'plan.pair.across' : 'plan.pair.level', ['from' => $this->names->text(Length::nearestTo($isAcross ? $pair->from->x : $pair->from->y)), 'to' => $this->names->text(Length::nearestTo($isAcross ? $pair->to->x : $pair->to->y))]);
    }

    /** @return list<Json> what may lie head to tail, and what may be made of corners that come off */
    private function nesting(): array
    {
        $nesting = $this->planned->nesting;
        $offers = [];
        foreach ($nesting->pairs as $id => $pair) {
            $offers[] = ['kind' => 'nested', 'piece' => $id, 'isDone' => in_array($id, $this->planned->asked->nested, true), 'says' => $this->words->sentence('plan.nest.pair', [
                'piece' => $this->letterOf($id), 'width' => $this->names->text($pair->box->width), 'height' => $this->names->text($pair->box->height), 'saved' => (int) round(100 * $pair->saved),
            ])];
        }
        foreach ($nesting->corners as $id => $from) {
            $letters = array_values(array_unique(array_map(fn (array $one): string => $this->letterOf($one['from']), $from)));
            $offers[] = ['kind' => 'corners', 'piece' => $id, 'isDone' => in_array($id, $this->planned->asked->corners, true), 'says' => $this->words->sentence('plan.nest.corners', ['piece' => $this->letterOf($id), 'count' => array_sum(array_column($from, 'count')), 'letters' => $this->words->listed($letters)])];
        }

        return $offers;
    }

    /** @return Json */
    private function booked(Booked $cut): array
    {
        $pieces = array_map(fn (string $id, int $count): array => ['letter' => $id === $cut->paper ? $this->words->sentence('plan.envelope') : $this->names->letters[$id] ?? '?', 'label' => $this->planned->labels[$id] ?? $this->words->sentence('plan.gone'), 'count' => $count], array_keys($cut->pieces), array_values($cut->pieces));

        return ['id' => $cut->id, 'paper' => $this->names->paper($cut->paper), 'sheet' => $cut->sheet, 'pieces' => $pieces, 'isMissed' => $cut->is_missed, 'at' => $cut->cut_at];
    }
}
