<?php

declare(strict_types=1);

namespace App\CutPlan;

use App\Models\CutSheet;
use App\Models\CuttingPlan;
use App\Models\Design;
use App\Models\Entry;
use App\Shelf\Drafting;
use App\Words\PieceName;
use App\Words\Words;
use Gimbo\Core\CutPlan\CutPlan;
use Gimbo\Core\CutPlan\Found;
use Gimbo\Core\CutPlan\Job;
use Gimbo\Core\CutPlan\Missing;
use Gimbo\Core\CutPlan\Nest\Nesting;
use Gimbo\Core\CutPlan\Planner;
use Gimbo\Core\CutPlan\Run;
use Gimbo\Core\CutPlan\SheetCut as Sheet;
use Gimbo\Core\CutPlan\Stock;
use Gimbo\Core\CutPlan\Trimmer;
use Gimbo\Core\CutPlan\Wanted;
use Gimbo\Core\Design\Design as Sized;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Exchange\CutPlanWriter;
use Gimbo\Core\Library\Kind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Paper\Paper;

/** A plan with its designs, the drawer and what is cut already: from these it follows how the rest is cut. */
final class Planned
{
    /** More sheets than these are on no shopping list. */
    private const MANY = 100_000;

    /** @var array<string, Design> */
    public array $designs = [];

    /** @var array<string, Sized> by design */
    public array $sized = [];

    /** @var array<string, Entry> the papers of the drawer that are used, by id */
    public array $papers = [];

    /** @var array<string, Entry> envelopes that are asked for, by id */
    public array $envelopes = [];

    /** @var array<string, list<string>> which of all bought envelopes each design goes into: ids of entries, by design */
    public array $goesInto = [];

    /** @var array<string, ?string> the entry, by what the designs call the paper */
    public array $named = [];

    /** @var list<Wanted> everything that is wanted, cut already or not, two head to tail as one */
    public array $wanted = [];

    /** @var array<string, string> what a piece is called, by its id */
    public array $labels = [];

    /** @var array<string, string> what the designs call its paper, by the piece's id */
    public array $paperOf = [];

    /** @var list<CutSheet> */
    public array $cuts;

    public Nesting $nesting;

    public Found $found;

    public CutPlan $plan;

    /** Sheets it would take if no print had to run on; null while nobody has asked. */
    private ?int $withoutRuns = null;

    private function __construct(public readonly CuttingPlan $kept, public readonly Asked $asked, private readonly Words $words)
    {
        $this->cuts = array_values($kept->cuts()->get()->all());
    }

    /** @param ?Found $rest what is left of a plan that was gone on from, where it is for this one */
    public static function of(CuttingPlan $plan, Drafting $drafting, Words $words, ?Found $rest = null): self
    {
        $planned = new self($plan, Asked::read($plan->asked), $words);
        $planned->gather($drafting);
        $left = $planned->left();
        if (array_sum(array_map(fn (Wanted $piece) => $piece->count, $left)) > Job::MOST_PIECES) {
            throw InvalidDocument::at('/asked/items', Reason::of('plan.too-many', ['most' => Job::MOST_PIECES]));
        }
        $job = $planned->job($left, $planned->stock());
        $kept = $rest?->written() ?? (($plan->found['basis'] ?? null) === $planned->basis() ? $plan->found['laid'] ?? null : null);
        $planned->become(($kept === null ? null : Found::read($job, $kept)) ?? Planner::found($job));

        return $planned;
    }

    private function become(Found $found): void
    {
        $this->found = $found;
        $this->plan = $found->plan();
    }

    /** Looks on for a better plan: see Planner::further. */
    public function further(int $slice): void
    {
        $this->become(Planner::further($this->found, $slice));
    }

    /** Keeps how it is laid, so that the same is seen and cut until something changes. */
    public function keep(): void
    {
        $this->kept->found = ['basis' => $this->basis(), 'laid' => $this->found->written()];
        // What is not to be cut any more is not in hand.
        $marks = array_flip(array_map(self::sheetMark(...), $this->kept->hand === null ? [] : $this->plan->sheets));
        $this->kept->hand = array_intersect_key($this->kept->hand ?? [], $marks) ?: null;
        $this->kept->save();
    }

    /** So many cuts of a sheet are made; with none it is not in hand any more. */
    public function takeInHand(Sheet $sheet, int $made): void
    {
        $this->kept->hand = array_filter([self::sheetMark($sheet) => $made] + ($this->kept->hand ?? []));
    }

    /**
     * How many cuts are made of the sheets that somebody has in hand, by their place in the plan. A sheet stays in hand as long as
     * it is to be cut so, whatever else is planned otherwise.
     *
     * @return array<int, int>
     */
    public function inHand(): array
    {
        $made = array_map(fn (Sheet $sheet): int => $this->kept->hand[self::sheetMark($sheet)] ?? 0, $this->kept->hand === null ? [] : $this->plan->sheets);

        return array_filter($made);
    }

    private static function sheetMark(Sheet $sheet): string
    {
        return self::mark([$sheet->stock->id, CutPlanWriter::tree($sheet->tree)]);
    }

    /** Another one whenever what is planned, how it is laid, what there is, what is cut, or what is in hand is another. */
    public function stamp(): string
    {
        return self::mark([$this->laid(), $this->inHand()]);
    }

    /** Another one whenever another plan is to be seen; what is in hand makes none. */
    public function laid(): string
    {
        return self::mark([$this->basis(), $this->found->written()]);
    }

    /** What the plan follows from: what is asked for, what there is, and what is cut already. */
    private function basis(): string
    {
        $stock = array_map(fn (Entry $paper): string => Drawer::text($paper), $this->papers + $this->envelopes);
        $marks = array_map(fn (Design $design): string => $design->mark(), $this->designs);

        return self::mark([$this->kept->asked, $stock, $marks, array_map(fn (CutSheet $cut) => $cut->id, $this->cuts)]);
    }

    /** @param array<mixed> $of */
    private static function mark(array $of): string
    {
        return substr(hash('xxh128', json_encode($of, JSON_THROW_ON_ERROR)), 0, 24);
    }

    private function gather(Drafting $drafting): void
    {
        $drawer = Entry::query()->where('kind', Kind::Papers->value)->get()->keyBy('id');
        $envelopes = Entry::query()->where('kind', Kind::Envelopes->value)->get()->keyBy('id');
        foreach ($this->asked->items as ['design' => $id, 'count' => $count, 'envelope' => $envelope]) {
            $entry = $envelope === null ? null : $envelopes->get($envelope);
            $entry === null || $this->envelopes[$entry->id] = $entry;
            $design = $this->designs[$id] ?? Design::query()->find($id);
            if ($design === null) {
                continue;
            }
            $this->designs[$id] = $design;
            $this->sized[$id] ??= $drafting->draft($design)->sized;
            $this->goesInto[$id] = Envelopes::holding($envelopes->all(), $this->sized[$id]->closed);
            foreach ($this->sized[$id]->pieces as $piece) {
                $this->want($design, $piece, $count);
            }
        }
        foreach (array_unique(array_values($this->paperOf)) as $name) {
            $chosen = $this->asked->papers[$name] ?? $drawer->first(fn (Entry $entry) => $name !== '' && ($entry->entry['name'] ?? null) === $name)?->id;
            $entry = $chosen === null ? null : $drawer->get($chosen);
            $this->named[$name] = $entry?->id;
            $entry === null || $this->papers[$entry->id] = $entry;
        }
        $this->wanted = array_map(fn (Wanted $piece): Wanted => new Wanted($piece->id, $piece->width, $piece->height, $piece->count, $this->named[$this->paperOf[$piece->id]] ?? '', $piece->mayTurn, rows: $piece->rows), $this->wanted);
        $shapes = [];
        foreach ($this->wanted as $piece) {
            [$design, $id] = explode(' ', $piece->id);
            $shape = $this->sized[$design]->piece($id);
            $shape === null || $shapes[$piece->id] = [$shape->pattern()->vertices, $shape->sheet];
        }
        $cut = $this->cut();
        // Two that were cut head to tail are two pieces, also where the others are not to lie so any more.
        $left = [];
        foreach ($this->wanted as $piece) {
            $left[$piece->id] = max(0, $piece->count - ($cut[$piece->id] ?? 0) - 2 * ($cut[Nesting::pairOf($piece->id)] ?? 0));
        }
        $this->nesting = new Nesting($this->wanted, $left, $shapes, $this->asked->nested, $this->asked->corners, $this->trimmer());
        foreach (array_keys($this->nesting->pairs) as $id) {
            $this->labels[Nesting::pairOf($id)] = $this->words->sentence('plan.pair', ['piece' => $this->labels[$id]]);
            $this->paperOf[Nesting::pairOf($id)] = $this->paperOf[$id];
        }
        $toCut = array_column(array_map(fn (Wanted $piece): array => [$piece->id, $piece->count], $this->nesting->toCut), 1, 0);
        $ways = array_merge([], ...array_map(fn (Wanted $piece): array => array_filter([$this->nesting->pair($piece), $piece]), $this->wanted));
        $ways = array_map(fn (Wanted $piece): Wanted => $piece->times(($toCut[$piece->id] ?? 0) + ($cut[$piece->id] ?? 0)), $ways);
        $this->wanted = array_values(array_filter($ways, fn (Wanted $piece) => $piece->count > 0));
    }

    /** @return array<string, int> how many of each are cut, by id, two head to tail as one */
    private function cut(): array
    {
        $cut = [];
        foreach ($this->cuts as $sheet) {
            foreach ($sheet->pieces as $id => $count) {
                $cut[$id] = $count + ($cut[$id] ?? 0);
            }
        }

        return $cut;
    }

    private function trimmer(): Trimmer
    {
        $first = array_values($this->sized)[0] ?? null;

        return new Trimmer($first->request->tools->cut->size ?? Step::of(Length::inches(1, 16))->size, $this->asked->kerf, $this->asked->longest, $this->asked->measures);
    }

    private function want(Design $design, Piece $piece, int $count): void
    {
        $id = "$design->id $piece->id";
        $paper = $piece->paper();
        $name = $paper->name ?? ($paper->id === Paper::MAIN ? '' : $paper->id);
        foreach ($this->wanted as $i => $same) {
            if ($same->id === $id) {
                $this->wanted[$i] = $same->times($same->count + $count * $piece->count);

                return;
            }
        }
        $this->labels[$id] = $this->words->sentence('plan.piece', ['piece' => PieceName::of($this->words, $this->sized[$design->id], $piece->id), 'design' => $design->name]);
        $this->paperOf[$id] = $name;
        $this->wanted[] = new Wanted($id, $piece->figures->sheet->width, $piece->figures->sheet->height, $count * $piece->count, '', ! $paper->isDirectional && $paper->grain === 'none', rows: ScoreFirst::rows($piece));
    }

    /** @return list<Wanted> what is not cut yet and has a paper */
    private function left(): array
    {
        return array_values(array_filter($this->nesting->toCut, fn (Wanted $piece) => $piece->paper !== ''));
    }

    /** @return list<Stock> */
    private function stock(): array
    {
        return array_merge([], ...array_map(Drawer::stock(...), array_values($this->papers)));
    }

    /**
     * @param list<Wanted> $pieces
     * @param list<Stock> $stock
     */
    private function job(array $pieces, array $stock): Job
    {
        return new Job($pieces, $stock, $this->trimmer(), $this->asked->margin, $this->asked->keep, $this->runs($pieces));
    }

    /**
     * Prints that run on over pieces of which some are still to be cut, all of one paper.
     *
     * @param list<Wanted> $pieces
     * @return list<Run> by their place in what was asked for: `run 0`
     */
    private function runs(array $pieces): array
    {
        $there = array_column(array_map(fn (Wanted $piece): array => [$piece->id, $piece], $pieces), 1, 0);
        $runs = [];
        foreach ($this->asked->runs as $i => ['pieces' => $ids, 'along' => $along]) {
            $of = array_values(array_filter(array_map(fn (string $id): ?Wanted => $there[$id] ?? null, $ids)));
            $papers = array_unique(array_map(fn (Wanted $piece) => $piece->paper, $of));
            $of !== [] && count($of) === count($ids) && count($papers) === 1 && $runs[] = new Run("run $i", $of, $along);
        }

        return $runs;
    }

    /** How many sheets more it takes than if no print had to run on. */
    public function sheetsForRuns(): int
    {
        $job = $this->plan->job;
        $this->withoutRuns ??= array_sum(Planner::plan(new Job($job->pieces, $job->stock, $job->trimmer, $job->margin, $job->keep), 0.3)->used());

        return max(0, array_sum($this->plan->used()) - $this->withoutRuns);
    }

    /**
     * What there is too little of: for each paper, so many sheets of the size it is bought in, with some to try on.
     *
     * @return list<array{paper: string, width: Length, height: Length, count: int, spare: int, tooLarge: list<string>}>
     */
    public function shopping(): array
    {
        $shopping = [];
        foreach ($this->papers as $paper) {
            $size = $this->asked->buy[$paper->id] ?? null;
            $sheet = array_values(array_filter(Drawer::stock($paper), fn (Stock $one) => ! $one->isOffcut))[0] ?? null;
            [$width, $height] = $size !== null ? [$size->width, $size->height] : [$sheet->width ?? Length::inches(12), $sheet->height ?? Length::inches(12)];
            $missing = array_filter($this->plan->missing, fn (Missing $one) => $this->plan->job->wanted($one->piece)?->paper === $paper->id);
            if ($missing === []) {
                continue;
            }
            $pieces = [];
            foreach ($missing as $one) {
                $piece = $this->plan->job->wanted($one->piece);
                $piece === null || $pieces[] = $piece->times($one->count);
            }
            $bought = Planner::plan($this->job($pieces, [new Stock('new', $paper->id, $width, $height, self::MANY, isRoll: $size === null && $sheet?->isRoll === true)]), 0.3);
            $shopping[] = [
                'paper' => $paper->id, 'width' => $width, 'height' => $height, 'count' => $bought->used()['new'] ?? 0, 'spare' => $this->asked->spare,
                'tooLarge' => array_map(fn (Missing $one): string => $this->labels[$one->piece] ?? $one->piece, $bought->missing),
            ];
        }

        return $shopping;
    }
}
