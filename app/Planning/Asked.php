<?php

declare(strict_types=1);

namespace App\Planning;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/**
 * What a maker asks a plan for: how many of which designs, and what else she says of it.
 *
 * `{"items": [{"design", "count"}], "papers": {name: entry}, "kerf", "longest", "measures", "margin", "keep": {"width", "height"}, "spare", "buy": {entry: {"width", "height"}}}`
 */
final readonly class Asked
{
    public const MOST_ITEMS = 50;

    private const MOST_COUNT = 1000;

    private const MOST_SPARE = 20;

    /**
     * @param list<array{design: string, count: int}> $items
     * @param array<string, string> $papers an entry of the drawer, by what a design calls the paper
     * @param array<string, Rectangle> $buy the size sheets are bought in, by entry
     */
    private function __construct(
        public array $items, public array $papers, public Length $kerf, public ?Length $longest, public ?Length $measures, public Length $margin, public Rectangle $keep, public int $spare, public array $buy,
    ) {
    }

    /** @throws InvalidDocument with every problem found */
    public static function read(mixed $document): self
    {
        $in = new FieldReader($document);
        $in->allowOnly('', ['items', 'papers', 'kerf', 'longest', 'measures', 'margin', 'keep', 'spare', 'buy']);
        $in->allowOnly('/keep', ['width', 'height']);
        $given = $in->get('/items') ?? [];
        if (! is_array($given) || ! array_is_list($given) || count($given) > self::MOST_ITEMS) {
            throw InvalidDocument::at('/items', Reason::of('plan.list', ['most' => self::MOST_ITEMS]));
        }
        $items = [];
        foreach (array_keys($given) as $i) {
            $in->allowOnly("/items/$i", ['design', 'count']);
            $items[] = ['design' => $in->name("/items/$i/design", 60), 'count' => $in->count("/items/$i/count", self::MOST_COUNT) ?? 1];
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
            $in->length('/margin', mayBeZero: true) ?? Length::zero(), $keep, $in->count('/spare', self::MOST_SPARE, 0) ?? 1, $buy,
        );
        $in->throwProblems();

        return $asked;
    }
}
