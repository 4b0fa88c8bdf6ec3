<?php

declare(strict_types=1);

namespace App\HandOn;

use App\Shelf\Draft;
use App\Words\Figure;
use App\Words\PieceName;
use App\Words\Sentence;
use App\Words\StepWords;
use App\Words\Words;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Exchange\StepPicture;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Settle\MeasureRow;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Telling\Taping;
use Illuminate\Contracts\View\Factory;

/**
 * One design as a document for others: the finished thing, materials, cutting list, measures and steps, in both systems
 * side by side – two roundings of one exact design, each whole in itself.
 *
 * The same HTML is the page to print and what the PDF is set from.
 */
final readonly class Handout
{
    /** Its pictures are some 50 mm wide. */
    private const LETTERING = 1.7;

    public function __construct(private OtherSystem $other, private Editions $editions, private Words $words, private Factory $views)
    {
    }

    /**
     * @param ?PaperFormat $format where it is set as PDF; null for the browser's page
     * @param ?int $since an earlier edition, that this one is held against
     */
    public function html(Draft $draft, ?PaperFormat $format = null, ?int $since = null, bool $isLeftHanded = false): string
    {
        $own = $draft->sized;
        [$other, $mended] = $this->other->of($draft);
        $both = $own->request->system === System::Imperial ? [$own, $other] : [$other, $own];

        return $this->views->make('handout', [
            'words' => $this->words,
            'format' => $format,
            'id' => $draft->design->id,
            'name' => $draft->document->name,
            'edition' => $draft->design->revision,
            'by' => $draft->document->by,
            'since' => $since === null ? null : $this->editions->since($draft, $since),
            'lead' => $this->lead($both),
            'picture' => self::asImage(Sketch::finished($own)),
            'materials' => $this->materials($own),
            'cuttingList' => array_map(fn (Piece $piece) => [
                'name' => PieceName::of($this->words, $own, $piece->id), 'count' => $own->inAll($piece->count),
                'sizes' => array_map(fn (Design $design) => $this->size($design->piece($piece->id) ?? $piece), $both),
            ], $own->pieces),
            'systems' => array_map(fn (Design $design) => $this->words->sentence("print.{$design->request->system->value}"), $both),
            'measures' => $this->measures($both),
            'inside' => array_map($this->inside(...), $both),
            'steps' => $this->steps($own, $other, $isLeftHanded),
            'mended' => $mended,
            'otherSystem' => $this->words->sentence("print.{$other->request->system->value}"),
            'notes' => array_filter(explode("\n", $draft->document->notes), fn (string $line) => trim($line) !== ''),
        ])->render();
    }

    /** @param list<Design> $both */
    private function lead(array $both): string
    {
        $item = $both[0]->request->item;
        $size = array_map(fn (Design $design) => $this->pair($item->width, $item->height, $design), $both);
        $key = "handout.lead.{$both[0]->request->make}";

        return strtr(e($this->words->sentence($this->words->has($key) ? $key : 'handout.lead', [
            'make' => $this->words->sentence("make.{$both[0]->request->make}"),
            'items' => $this->words->sentence('handout.items', ['count' => $item->count]),
        ])), ['{size}' => "$size[0] ($size[1])"]);
    }

    /** @return list<string> of HTML */
    private function materials(Design $design): array
    {
        $list = [];
        foreach ($design->request->papers as $paper) {
            $pieces = array_filter($design->pieces, fn (Piece $piece) => $piece->paper()->id === $paper->id);
            if ($pieces === []) {
                continue;
            }
            $name = $paper->name ?? $this->words->sentence($paper->id === Paper::MAIN ? 'handout.paper' : 'handout.other-paper', ['id' => $paper->id]);
            $list[] = strtr(e($this->words->sentence(count($pieces) === count($design->pieces) ? 'handout.paper-as' : 'handout.paper-for', [
                'paper' => $name, 'pieces' => $this->words->listed(array_values(array_map(fn (Piece $piece) => $this->sized($piece, $design), $pieces))),
            ])), ['{caliper}' => $this->figure(LengthFormatter::for(System::Metric)->measured($paper->caliper, 2))]);
        }
        foreach ($design->supplies() as $supply) {
            $words = LengthFormatter::for($design->request->system);
            $list[] = ($design->inAll($supply->count) > 1 ? $design->inAll($supply->count).' × ' : '').strtr(e($this->words->sentence("handout.supply.$supply->role")), [
                '{length}' => $supply->length === null ? '' : $this->figure($words->rounded($supply->length)), '{size}' => $supply->size === null ? '' : $this->figure($words->rounded($supply->size)),
            ]);
        }
        foreach (Taping::inAll($design) as $tape) {
            $words = LengthFormatter::for($design->request->system);
            $list[] = strtr(e($this->words->sentence('handout.tape', ['strips' => $design->inAll($tape->strips)])), [
                '{width}' => $this->figure($words->rounded($tape->width ?? $tape->length)), '{length}' => $this->figure($words->rounded($tape->length->times($design->inAll(1)))),
            ]);
        }
        foreach (With::cases() as $with) {
            if (array_filter($design->steps(), fn (WorkStep $step) => $step->with === $with) !== []) {
                $list[] = e($this->words->sentence("handout.tool.$with->value"));
            }
        }

        return $list;
    }

    /** A piece with its size and its number, as plain text. */
    private function sized(Piece $piece, Design $design): string
    {
        ['width' => $width, 'height' => $height] = $piece->figures->cutText();
        $name = PieceName::inSentence($this->words, $design, $piece->id);

        return $this->words->sentence('handout.piece-of', ['piece' => $name, 'count' => $design->inAll($piece->count), 'width' => $width, 'height' => $height]);
    }

    /**
     * Each setting in both systems; where the two do not have the same settings, those of one come after those of the other.
     *
     * @param list<Design> $both
     * @return list<array{piece: string, rows: list<array{label: string, notes: list<string>, figures: list<array{text: string, note: string}>}>}>
     */
    private function measures(array $both): array
    {
        $tables = [];
        foreach ($both[0]->pieces as $piece) {
            $pieces = [$piece, $both[1]->piece($piece->id) ?? $piece];
            $rows = array_map(fn (Piece $one) => self::bySetting($one), $pieces);
            $pairs = [];
            foreach ($rows[0] as $settings => $row) {
                $pairs[] = [$row, $rows[1][$settings] ?? null];
            }
            foreach (array_diff_key($rows[1], $rows[0]) as $row) {
                $pairs[] = [null, $row];
            }
            $tables[] = [
                'piece' => count($both[0]->pieces) > 1 ? PieceName::of($this->words, $both[0], $piece->id) : '',
                'rows' => array_map(fn (array $pair) => $this->measure($pair, $pieces, $both), $pairs),
            ];
        }

        return $tables;
    }

    /** @return array<string, MeasureRow> by the settings it is of */
    private static function bySetting(Piece $piece): array
    {
        $rows = [];
        foreach (MeasureRow::of($piece->figures) as $row) {
            $settings = array_unique(array_map(fn (int $i) => $piece->measures[$i]->setting, $row->measures));
            $rows[$row->what.' '.implode(' ', $settings)] = $row;
        }

        return $rows;
    }

    /**
     * What the two columns both say stands once, beside the label; what only one of them says stands with its figure.
     *
     * @param array{?MeasureRow, ?MeasureRow} $pair
     * @param list<Piece> $pieces
     * @param list<Design> $both
     * @return array{label: string, notes: list<string>, figures: list<array{text: string, note: string}>}
     */
    private function measure(array $pair, array $pieces, array $both): array
    {
        [$notes, $figures] = [['', ''], ['', '']];
        foreach ($pair as $i => $row) {
            if ($row !== null) {
                $notes[$i] = $this->note($row, $pieces[$i]);
                $figures[$i] = $this->figure($pieces[$i]->measures[$row->measures[0]]->text());
            }
        }
        $row = $pair[0] ?? $pair[1];
        assert($row !== null);

        $isSame = $notes[0] === $notes[1] || in_array(null, $pair, true);

        return [
            'label' => $this->words->sentence("measure.$row->what"), 'notes' => $isSame ? array_values(array_unique(array_filter($notes))) : [],
            'figures' => array_map(fn (string $text, string $note) => ['text' => $text, 'note' => $isSame ? '' : $note], $figures, $notes),
        ];
    }

    private function inside(Design $design): string
    {
        $inside = $design->inside;
        $words = LengthFormatter::for($design->request->system);

        return implode(' × ', $this->oneUnit(array_map($words->rounded(...), [$inside->width, $inside->height, ...($inside->depth->isPositive() ? [$inside->depth] : [])])));
    }

    private function note(MeasureRow $row, Piece $piece): string
    {
        $from = array_map(fn (int $i) => $piece->measures[$i]->from, $row->measures);
        foreach (["measure.$row->what.$from[0]", "measure.$row->what.note"] as $key) {
            if ($this->words->has($key)) {
                return $this->words->sentence($key);
            }
        }
        if (! str_ends_with($row->what, '.edges') || str_starts_with($row->what, 'mark')) {
            return '';
        }

        return $this->words->sentence('measure.from', ['from' => $this->words->listed(array_map(fn (string $edge) => $this->words->sentence("from.edge.$edge"), $from))]);
    }

    /** @return list<array{piece: string, drawing: string, says: string, or: string, other: string, advice: list<string>}> */
    private function steps(Design $own, Design $other, bool $isLeftHanded): array
    {
        [$said, $others] = [new StepWords($this->words, $own), new StepWords($this->words, $other)];
        $twins = array_flip(array_map(fn (WorkStep $step) => $step->id, $other->steps()));
        $pictures = StepPicture::all($own, array_keys($own->steps()), $isLeftHanded, self::LETTERING);
        $steps = [];
        $before = null;
        foreach ($own->steps() as $i => $step) {
            $turn = $said->quarters($i);
            $twin = $twins[$step->id] ?? null;
            $or = $said->or($i);
            $steps[] = [
                'piece' => count($own->pieces) > 1 && $step->piece !== $before ? $said->pieceName($step->piece) : '',
                'drawing' => self::asImage($pictures[$i]),
                'says' => ($turn > 0 ? e($this->words->sentence("turn.$turn")).' ' : '').implode(' ', array_map($this->typeset(...), $said->of($i))),
                'or' => $or === null ? '' : $this->typeset($or),
                'other' => $twin === null ? '' : implode('<br>', array_map($this->figure(...), array_values(array_unique(array_merge(...array_map(fn (Sentence $sentence) => $sentence->figures(), $others->of($twin))))))),
                'advice' => array_map($this->typeset(...), $said->advice($i)),
            ];
            $before = $step->piece;
        }

        return $steps;
    }

    private function typeset(Sentence $sentence): string
    {
        return implode('', array_map(fn (string|Figure $part) => $part instanceof Figure ? '<b>'.$this->figure($part->text).'</b>' : e($part), $sentence->parts));
    }

    private function size(Piece $piece): string
    {
        return implode(' × ', $this->oneUnit(array_values($piece->figures->cutText())));
    }

    private function pair(Length $width, Length $height, Design $design): string
    {
        return implode(' × ', $this->sides($width, $height, $design));
    }

    /** @return list<string> width and height as HTML, the unit said once */
    private function sides(Length $width, Length $height, Design $design): array
    {
        $words = LengthFormatter::for($design->request->system);

        return $this->oneUnit([$words->rounded($width), $words->rounded($height)]);
    }

    /**
     * @param list<string> $lengths
     * @return list<string> as HTML, the unit only with the last
     */
    private function oneUnit(array $lengths): array
    {
        $last = array_key_last($lengths);
        $unit = fn (string $text): string => (string) preg_replace('/^.* /', '', $text);
        $isOne = count(array_unique(array_map($unit, $lengths))) === 1;

        return array_map(fn (string $text, int $i) => $this->figure($i === $last || ! $isOne ? $text : (string) preg_replace('/ [a-z]+$/', '', $text)), $lengths, array_keys($lengths));
    }

    /** A length as HTML, its fraction set as one. */
    private function figure(string $text): string
    {
        // A thin space keeps whole and fraction apart for those who copy it, or have it read to them.
        return '<span class="figure">'.preg_replace(['~ (?=\d+/)~', '~(\d+)/(\d+)~u'], ["\u{2009}", '<span class="n">$1</span>⁄<span class="d">$2</span>'], e($this->words->figure($text))).'</span>';
    }

    private static function asImage(string $svg): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode($svg);
    }
}
