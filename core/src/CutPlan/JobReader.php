<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Paper\Rectangle;

/** Reads a job (docs/plan.md), or says everything that is wrong with it. */
final readonly class JobReader
{
    private const MOST_ENTRIES = 2000;

    private const MOST_SHEETS = 100_000;

    private const ID = '/^[^\x00-\x1f\x7f]{1,80}$/Du';

    private function __construct(private FieldReader $in)
    {
    }

    /**
     * @param mixed $document as JSON gives it, objects as arrays
     *
     * @throws InvalidDocument with every problem found
     */
    public static function read(mixed $document): Job
    {
        $in = new FieldReader($document);
        $in->allowOnly('', ['pieces', 'stock', 'trimmer', 'margin', 'keep', 'runs']);
        $in->allowOnly('/trimmer', ['step', 'kerf', 'longest', 'measures']);
        $in->allowOnly('/keep', ['width', 'height']);
        $reader = new self($in);
        $stock = $reader->stock();
        $pieces = $reader->pieces(array_map(fn (Stock $one) => $one->id, $stock));
        $trimmer = new Trimmer(
            $in->length('/trimmer/step') ?? Length::inches(1, 16), $in->length('/trimmer/kerf', mayBeZero: true) ?? Length::zero(),
            $in->length('/trimmer/longest'), $in->length('/trimmer/measures'),
        );
        $margin = $in->length('/margin', mayBeZero: true) ?? Length::zero();
        $keep = new Rectangle($in->length('/keep/width') ?? Length::inches(1), $in->length('/keep/height') ?? Length::inches(2));
        $sides = array_merge([], ...array_map(fn (Wanted $piece) => [$piece->width, $piece->height], $pieces));
        if ($sides !== [] && ! $trimmer->kerf->isLessThan(Length::min(...$sides))) {
            $in->problem('/trimmer/kerf', Reason::of('plan.kerf', ['least' => Length::min(...$sides)]));
        }
        array_sum(array_map(fn (Wanted $piece) => $piece->count, $pieces)) > Job::MOST_PIECES && $in->problem('/pieces', Reason::of('plan.too-many', ['most' => Job::MOST_PIECES]));
        $runs = $reader->runs($pieces);
        $in->throwProblems();

        return new Job($pieces, $stock, $trimmer, $margin, $keep, $runs);
    }

    /** @return list<Stock> */
    private function stock(): array
    {
        $stock = [];
        foreach ($this->entries('/stock') as $i) {
            $at = "/stock/$i";
            $this->in->allowOnly($at, ['id', 'paper', 'width', 'height', 'count', 'offcut', 'roll']);
            $height = $this->in->required("$at/height", LengthParser::limitOfRolls());
            $stock[] = new Stock(
                $this->id("$at/id", array_map(fn (Stock $one) => $one->id, $stock)), $this->paper("$at/paper"), $this->in->required("$at/width"), $height,
                $this->in->count("$at/count", self::MOST_SHEETS, 0) ?? 1, $this->flag("$at/offcut", false), $this->flag("$at/roll", $height->isMoreThan(LengthParser::limit())),
            );
        }

        return $stock;
    }

    /**
     * @param list<string> $stock ids of what there is
     * @return list<Wanted>
     */
    private function pieces(array $stock): array
    {
        $pieces = [];
        foreach ($this->entries('/pieces') as $i) {
            $at = "/pieces/$i";
            $this->in->allowOnly($at, ['id', 'width', 'height', 'count', 'paper', 'turn', 'stock', 'rows']);
            $only = $this->in->get("$at/stock");
            if ($only !== null && (! is_array($only) || ! array_is_list($only) || array_filter($only, fn (mixed $id) => ! in_array($id, $stock, true)) !== [])) {
                $this->in->problem("$at/stock", Reason::of('plan.stock', ['known' => $stock]));
                $only = null;
            }
            $rows = $this->in->get("$at/rows") ?? [];
            if (! is_array($rows) || ! array_is_list($rows) || array_filter($rows, fn (mixed $along) => ! in_array($along, ['width', 'height'], true)) !== []) {
                $this->in->problem("$at/rows", Reason::of('plan.rows'));
                $rows = [];
            }
            /** @var ?list<string> $only */
            /** @var list<'width'|'height'> $rows */
            $pieces[] = new Wanted(
                $this->id("$at/id", array_map(fn (Wanted $one) => $one->id, $pieces)), $this->in->required("$at/width"), $this->in->required("$at/height"),
                $this->in->count("$at/count", self::MOST_SHEETS, 0) ?? 1, $this->paper("$at/paper"), $this->flag("$at/turn", true), $only, $rows,
            );
        }

        return $pieces;
    }

    /**
     * @param list<Wanted> $wanted
     * @return list<Run>
     */
    private function runs(array $wanted): array
    {
        $pieces = array_column(array_map(fn (Wanted $piece): array => [$piece->id, $piece], $wanted), 1, 0);
        $runs = [];
        foreach ($this->entries('/runs') as $i) {
            $at = "/runs/$i";
            $this->in->allowOnly($at, ['id', 'pieces', 'along']);
            $id = $this->id("$at/id", [...array_keys($pieces), ...array_map(fn (Run $run) => $run->id, $runs)]);
            $of = [];
            foreach ($this->entries("$at/pieces") as $n) {
                $piece = $this->in->get("$at/pieces/$n");
                $of[] = is_string($piece) ? $pieces[$piece] ?? null : null;
            }
            $of = count($of) < 2 || count($of) > Run::MOST ? [] : $of;
            $papers = array_unique(array_map(fn (?Wanted $piece) => $piece?->paper, $of));
            if ($of === [] || in_array(null, $of, true) || count($papers) > 1) {
                $this->in->problem("$at/pieces", Reason::of('plan.run', ['most' => Run::MOST]));

                continue;
            }
            /** @var non-empty-list<Wanted> $of */
            /** @var 'width'|'height' $along */
            $along = $this->in->choice("$at/along", ['width', 'height'], 'width');
            $runs[] = new Run($id, $of, $along);
        }

        return $runs;
    }

    /** @return list<int> */
    private function entries(string $at): array
    {
        $given = $this->in->get($at) ?? [];
        if (! is_array($given) || ! array_is_list($given) || count($given) > self::MOST_ENTRIES) {
            $this->in->problem($at, Reason::of('plan.list', ['most' => self::MOST_ENTRIES]));

            return [];
        }

        return array_keys($given);
    }

    /** @param list<string> $taken */
    private function id(string $at, array $taken): string
    {
        $id = $this->in->get($at);
        if (is_string($id) && preg_match(self::ID, $id) === 1 && ! in_array($id, $taken, true)) {
            return $id;
        }
        $this->in->problem($at, Reason::of('plan.id'));

        return '?';
    }

    /** What its paper is called; nothing is a name, too. */
    private function paper(string $at): string
    {
        $paper = $this->in->get($at);

        return $paper === null || $paper === '' ? '' : $this->in->name($at, 80);
    }

    private function flag(string $at, bool $usual): bool
    {
        $given = $this->in->get($at);
        if ($given === null || is_bool($given)) {
            return $given ?? $usual;
        }
        $this->in->problem($at, Reason::of('plan.flag'));

        return $usual;
    }
}
