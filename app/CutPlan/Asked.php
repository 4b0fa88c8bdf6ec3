<?php

declare(strict_types=1);

namespace App\CutPlan;

use Gimbo\Core\CutPlan\Run;
use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/**
 * What a maker asks a plan for: how many of which designs, and what else she says of it.
 *
 * `{"items": [{"design", "count", "envelope": entry}], "papers": {name: entry}, "kerf", "longest", "measures", "margin", "keep": {"width", "height"}, "spare", "buy": {entry: {"width", "height"}},
 * "nested": [ids of the plan's pieces that are laid head to tail], "corners": [ids of those that are made of corners that come off others],
 * "runs": [{"pieces": [ids of the plan's pieces], "along": "width"|"height"}]}`
 */
final readonly class Asked
{
    public const MOST_ITEMS = 50;

    private const MOST_COUNT = 1000;

    private const MOST_SPARE = 20;

    /**
     * @param list<array{design: string, count: int, envelope: ?string}> $items each one in a bought envelope, where there is one
     * @param array<string, string> $papers an entry of the drawer, by what a design calls the paper
     * @param list<array{pieces: list<string>, along: 'width'|'height'}> $runs prints that run on
     * @param list<string> $nested pieces laid head to tail
     * @param list<string> $corners pieces made of corners that come off others
     * @param array<string, Rectangle> $buy the size sheets are bought in, by entry
     */
    private function __construct(
        public array $items, public array $papers, public Length $kerf, public ?Length $longest, public ?Length $measures, public Length $margin, public Rectangle $keep, public int $spare, public array $buy, public array $runs, public array $nested, public array $corners,
    ) {
    }

    /** @throws InvalidDocument with every problem found */
    public static function read(mixed $document): self
    {
        $in = new FieldReader($document);
        $in->allowOnly('', ['items', 'papers', 'kerf', 'longest', 'measures', 'margin', 'keep', 'spare', 'buy', 'runs', 'nested', 'corners']);
        $in->allowOnly('/keep', ['width', 'height']);
        $given = $in->get('/items') ?? [];
        if (! is_array($given) || ! array_is_list($given) || count($given) > self::MOST_ITEMS) {
            throw InvalidDocument::at('/items', Reason::of('plan.list', ['most' => self::MOST_ITEMS]));
        }
        $items = [];
        foreach (array_keys($given) as $i) {
            $in->allowOnly("/items/$i", ['design', 'count', 'envelope']);
            $envelope = $in->get("/items/$i/envelope");
            $items[] = ['design' => $in->name("/items/$i/design", 60), 'count' => $in->count("/items/$i/count", self::MOST_COUNT) ?? 1, 'envelope' => is_string($envelope) ? $envelope : null];
        }
        $papers = $in->get('/papers') ?? [];
        $buy = [];
        foreach (array_keys(is_array($in->get('/buy')) ? $in->get('/buy') : []) as $entry) {
            $in->allowOnly("/buy/$entry", ['width', 'height']);
            $buy[(string) $entry] = new Rectangle($in->required("/buy/$entry/width"), $in->required("/buy/$entry/height"));
        }
        $keep = new Rectangle($in->length('/keep/width') ?? Length::inches(1), $in->length('/keep/height') ?? Length::inches(2));
        $asked = new self(
            $items, is_array($papers) ? array_filter($papers, is_string(...)) : [], $in->length('/kerf', mayBeZero: true) ?? Length::zero(), $in->length('/longest'), $in->length('/measures'),
            $in->length('/margin', mayBeZero: true) ?? Length::zero(), $keep, $in->count('/spare', self::MOST_SPARE, 0) ?? 1, $buy, self::runs($in), self::ids($in, '/nested'), self::ids($in, '/corners'),
        );
        $in->throwProblems();

        return $asked;
    }

    /** @return list<string> */
    private static function ids(FieldReader $in, string $at): array
    {
        $ids = $in->get($at) ?? [];
        if (! is_array($ids) || array_filter($ids, fn (mixed $id) => ! is_string($id)) !== []) {
            $in->problem($at, Reason::of('plan.list', ['most' => self::MOST_ITEMS]));
        }

        return array_values(array_filter(is_array($ids) ? $ids : [], is_string(...)));
    }

    /** @return list<array{pieces: list<string>, along: 'width'|'height'}> */
    private static function runs(FieldReader $in): array
    {
        $runs = [];
        $given = $in->get('/runs') ?? [];
        foreach (is_array($given) && array_is_list($given) && count($given) <= self::MOST_ITEMS ? array_keys($given) : [] as $i) {
            $in->allowOnly("/runs/$i", ['pieces', 'along']);
            $pieces = $in->get("/runs/$i/pieces");
            $pieces = is_array($pieces) ? array_values(array_filter($pieces, is_string(...))) : [];
            if (count($pieces) < 2 || count($pieces) > Run::MOST) {
                $in->problem("/runs/$i/pieces", Reason::of('plan.run', ['most' => Run::MOST]));
            }
            /** @var 'width'|'height' $along */
            $along = $in->choice("/runs/$i/along", ['width', 'height'], 'width');
            $runs[] = ['pieces' => $pieces, 'along' => $along];
        }

        return $runs;
    }
}
