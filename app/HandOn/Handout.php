<?php

declare(strict_types=1);

namespace App\HandOn;

use App\Draft;
use App\Words\Words;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Figure\MeasureRow;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Request\Change;
use Gimbo\Core\Setting\Axis;
use Gimbo\Core\Setting\Measure;
use Gimbo\Core\Sizing;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Work\Lying;
use Illuminate\Contracts\View\Factory;

/**
 * One design as a document for others: the finished thing, materials, cutting list, measures and steps, in both systems
 * side by side – two roundings of one exact design, each whole in itself.
 *
 * The same HTML is the page to print and what the PDF is set from.
 */
final readonly class Handout
{
    public function __construct(private Sizing $sizing, private Words $words, private Factory $views)
    {
    }

    /** @param ?PaperFormat $format where it is set as PDF; null for the browser's page */
    public function html(Draft $draft, ?PaperFormat $format = null): string
    {
        $own = $draft->sized;
        $other = $this->inTheOther($draft);
        $both = $own->request->system === System::Imperial ? [$own, $other] : [$other, $own];

        return $this->views->make('handout', [
            'words' => $this->words,
            'format' => $format,
            'id' => $draft->design->id,
            'name' => $draft->document->name,
            'lead' => $this->lead($both),
            'picture' => self::asImage(Sketch::finished($own)),
            'materials' => $this->materials($own),
            'cuttingList' => array_map(fn (Piece $piece, int $i) => [
                'name' => $this->pieceName($piece->id), 'count' => $piece->count,
                'sizes' => array_map(fn (Design $design) => self::size($design->pieces[$i] ?? $piece, $design), $both),
            ], $own->pieces, array_keys($own->pieces)),
            'systems' => array_map(fn (Design $design) => $this->words->sentence("print.{$design->request->system->value}"), $both),
            'measures' => $this->measures($both),
            'inside' => array_map(self::inside(...), $both),
            'steps' => $this->steps($own, $other),
            'otherSystem' => $this->words->sentence("print.{$other->request->system->value}"),
            'notes' => array_filter(explode("\n", $draft->document->notes), fn (string $line) => trim($line) !== ''),
        ])->render();
    }

    private function inTheOther(Draft $draft): Design
    {
        $system = $draft->sized->request->system === System::Imperial ? System::Metric : System::Imperial;

        return $this->sizing->size($this->sizing->edited($draft->document->spec, [Change::set('/system', $system->value)]));
    }

    /** @param list<Design> $both */
    private function lead(array $both): string
    {
        $item = $both[0]->request->item;
        $size = array_map(fn (Design $design) => self::pair($item->width, $item->height, $design), $both);
        $key = "handout.lead.{$both[0]->request->make}";

        return e($this->words->sentence("make.{$both[0]->request->make}")).' '.strtr(e($this->words->sentence($this->words->has($key) ? $key : 'handout.lead', [
            'items' => $item->count === 1 ? $this->words->sentence('handout.one-item') : "$item->count ".$this->words->sentence('sentence.items'),
        ])), ['{size}' => "$size[0] ($size[1])"]);
    }

    /** @return list<string> of HTML */
    private function materials(Design $design): array
    {
        $spec = (array) ($design->request->spec['paper'] ?? []);
        $paper = is_string($spec['name'] ?? null) ? $spec['name'] : $this->words->sentence('handout.paper');
        $list = [e($paper).', '.self::figure(LengthFormatter::for(System::Metric)->rounded($design->request->paper->caliper)).' '.e($this->words->sentence('papers.thick'))];
        foreach (ToolKind::cases() as $tool) {
            if (array_filter($design->steps(), fn (WorkStep $step) => $step->with === $tool) !== []) {
                $list[] = e($this->words->sentence("handout.tool.$tool->value"));
            }
        }
        if (array_filter($design->steps(), fn (WorkStep $step) => $step->do === Deed::Glue) !== []) {
            $list[] = e($this->words->sentence('handout.glue'));
        }

        return $list;
    }

    /**
     * Each setting in both systems; where the two do not have the same settings, those of one come after those of the other.
     *
     * @param list<Design> $both
     * @return list<array{piece: string, rows: list<array{label: string, notes: list<string>, figures: list<string>}>}>
     */
    private function measures(array $both): array
    {
        $tables = [];
        foreach ($both[0]->pieces as $n => $piece) {
            $pieces = [$piece, $both[1]->pieces[$n] ?? $piece];
            $rows = array_map(fn (Piece $one) => MeasureRow::of($one->figures), $pieces);
            $what = array_map(fn (array $of) => array_map(fn (MeasureRow $row) => $row->what, $of), $rows);
            $pairs = $what[0] === $what[1] ? array_map(null, $rows[0], $rows[1])
                : [...array_map(fn (MeasureRow $row) => [$row, null], $rows[0]), ...array_map(fn (MeasureRow $row) => [null, $row], $rows[1])];
            $tables[] = [
                'piece' => count($both[0]->pieces) > 1 ? $this->pieceName($piece->id) : '',
                'rows' => array_map(fn (array $pair) => $this->measure($pair, $pieces, $both), $pairs),
            ];
        }

        return $tables;
    }

    /**
     * @param array{?MeasureRow, ?MeasureRow} $pair
     * @param array{Piece, Piece} $pieces
     * @param list<Design> $both
     * @return array{label: string, notes: list<string>, figures: list<string>}
     */
    private function measure(array $pair, array $pieces, array $both): array
    {
        [$notes, $figures] = [['', ''], ['', '']];
        foreach ($pair as $i => $row) {
            if ($row !== null) {
                $notes[$i] = $this->note($row, $pieces[$i]);
                $figures[$i] = self::figure(LengthFormatter::for($both[$i]->request->system)->marked($pieces[$i]->measures[$row->measures[0]]->at));
            }
        }
        $row = $pair[0] ?? $pair[1];
        assert($row !== null);

        return ['label' => $this->words->sentence("measure.$row->what"), 'notes' => array_values(array_unique(array_filter($notes))), 'figures' => $figures];
    }

    private static function inside(Design $design): string
    {
        $inside = $design->inside;
        $words = LengthFormatter::for($design->request->system);

        return implode(' × ', self::oneUnit(array_map($words->rounded(...), [$inside->width, $inside->height, ...($inside->depth->isPositive() ? [$inside->depth] : [])])));
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

    /** @return list<array{piece: string, drawing: string, says: string, other: string, advice: list<string>}> */
    private function steps(Design $own, Design $other): array
    {
        $lying = Lying::of($own);
        $steps = [];
        $before = null;
        foreach ($own->steps() as $i => $step) {
            $piece = $own->piece($step->piece) ?? $own->pieces[0];
            $twin = $other->steps()[$i] ?? $step;
            $steps[] = [
                'piece' => count($own->pieces) > 1 && $step->piece !== $before ? $this->pieceName($step->piece) : '',
                'drawing' => self::asImage(Sketch::step($step, $lying[$i], $piece)),
                'says' => ($step->quarterTurns > 0 ? e($this->words->sentence("turn.$step->quarterTurns")).' ' : '').$this->says($step, $piece, $own),
                'other' => $this->otherFigure($step, $piece, $twin, $other->piece($twin->piece) ?? $other->pieces[0], $other),
                'advice' => array_map(fn (string $code) => $this->words->sentence("advice.$code"), $step->advice),
            ];
            $before = $step->piece;
        }

        return $steps;
    }

    private function says(WorkStep $step, Piece $piece, Design $design): string
    {
        $measure = $piece->measures[$step->measures[0] ?? -1] ?? null;
        $words = LengthFormatter::for($design->request->system);
        $slots = ['{faces}' => e($this->words->listed($this->faceNames($step->faces)))];
        if ($step->do === Deed::Cut) {
            [$width, $height] = self::sides($piece->sheet->width, $piece->sheet->height, $design);
            $slots += ['{width}' => "<b>$width</b>", '{height}' => "<b>$height</b>"];
        }
        if ($measure !== null) {
            $slots += ['{at}' => '<b>'.self::figure($words->marked($measure->at)).'</b>', '{from}' => e($this->from($measure))];
            $slots += $measure->groove === null ? [] : ['{groove}' => self::figure($words->marked($measure->groove))];
        }

        $keys = array_map(fn (string $own) => "step.{$step->do->value}.$own", [$measure->axis->value ?? '', $step->piece]);
        $own = array_values(array_filter($keys, $this->words->has(...)));

        return strtr(e($this->words->sentence($own[0] ?? "step.{$step->do->value}")), $slots);
    }

    /** What the same step is set to in the other system, and from where, if that is another end. */
    private function otherFigure(WorkStep $step, Piece $piece, WorkStep $twin, Piece $twinPiece, Design $other): string
    {
        if ($step->do === Deed::Cut) {
            return self::size($twinPiece, $other);
        }
        [$measure, $its] = [$piece->measures[$step->measures[0] ?? -1] ?? null, $twinPiece->measures[$twin->measures[0] ?? -1] ?? null];
        if ($measure === null || $its === null || $step->do === Deed::ScoreSlants) {
            return '';
        }

        return self::figure(LengthFormatter::for($other->request->system)->marked($its->at))
            .($its->from === $measure->from ? '' : '<br><small>'.e($this->from($its)).'</small>');
    }

    /** An edge of the sheet, a corner that is cut off, or how the sheet lies at the fence. */
    private function from(Measure $measure): string
    {
        $where = $measure->rail !== null ? 'corner' : (in_array($measure->axis, [Axis::Width, Axis::Height], true) ? 'edge' : 'from');

        return $this->words->sentence("$where.$measure->from");
    }

    /**
     * Faces by their names; so many of one name by their number.
     *
     * @param list<string> $faces
     * @return list<string>
     */
    private function faceNames(array $faces): array
    {
        $alike = [];
        foreach ($faces as $face) {
            $alike[$this->words->sentence("face.$face")][] = $face;
        }

        return array_map(function (string $name, array $ids): string {
            $many = 'faces.'.preg_replace('/^.*-/', '', $ids[0]);

            return count($ids) > 1 && $this->words->has($many) ? $this->words->sentence($many, ['count' => (string) count($ids)]) : $name;
        }, array_keys($alike), $alike);
    }

    private function pieceName(string $id): string
    {
        return $this->words->has("piece.$id") ? $this->words->sentence("piece.$id")
            : $this->words->sentence('piece.'.preg_replace('/-\d+$/', '', $id)).' '.preg_replace('/^.*-(\d+)$/', '$1', $id);
    }

    private static function size(Piece $piece, Design $design): string
    {
        return self::pair($piece->sheet->width, $piece->sheet->height, $design);
    }

    private static function pair(Length $width, Length $height, Design $design): string
    {
        return implode(' × ', self::sides($width, $height, $design));
    }

    /** @return list<string> width and height as HTML, the unit said once */
    private static function sides(Length $width, Length $height, Design $design): array
    {
        $words = LengthFormatter::for($design->request->system);

        return self::oneUnit([$words->rounded($width), $words->rounded($height)]);
    }

    /**
     * @param list<string> $lengths
     * @return list<string> as HTML, the unit only with the last
     */
    private static function oneUnit(array $lengths): array
    {
        $last = array_key_last($lengths);

        return array_map(fn (string $text, int $i) => self::figure($i === $last ? $text : (string) preg_replace('/ [a-z]+$/', '', $text)), $lengths, array_keys($lengths));
    }

    /** A length as HTML, its fraction set as one. */
    private static function figure(string $text): string
    {
        // A thin space keeps whole and fraction apart for those who copy it, or have it read to them.
        return '<span class="figure">'.preg_replace(['~ (?=\d+/)~', '~(\d+)/(\d+)~u'], ["\u{2009}", '<span class="n">$1</span>⁄<span class="d">$2</span>'], e($text)).'</span>';
    }

    private static function asImage(string $svg): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode($svg);
    }
}
