<?php

declare(strict_types=1);

namespace App\HandOn;

use App\Words\PieceName;
use App\Words\Words;
use FPDF;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Exchange\Layer;
use Gimbo\Core\Exchange\Paths;
use Gimbo\Core\Exchange\ToolPath;
use Gimbo\Core\Geometry\Point;

/**
 * Pieces at their true size over as many pages as each needs, to be printed without scaling and joined.
 *
 * Every page has the piece's name, its place among the pages, a ruler to check the print's scale, and where it meets
 * another page a strip that both show, with marks to lay one on the other. Millimetres, y down.
 */
final class TemplatePdf
{
    /** Most printers leave this much blank. */
    private const MARGIN_MM = 10.0;

    /** What neighbouring pages both show. */
    private const OVERLAP_MM = 10.0;

    /** Room for the page's words and its ruler. */
    private const FOOT_MM = 14.0;

    private const RULER_MM = 100;

    private const RULER_INCHES = 4;

    private const INCH_MM = 25.4;

    private FPDF $pdf;

    private function __construct(private readonly PaperFormat $format, private readonly Words $words)
    {
        $this->pdf = new FPDF('P', 'mm', [$format->width(), $format->height()]);
        $this->pdf->SetAutoPageBreak(false);
        $this->pdf->SetCreator('Gimbo');
    }

    /** @param list<Piece> $pieces of the design, one after another */
    public static function write(array $pieces, Design $design, PaperFormat $format, Words $words, string $title): string
    {
        $file = new self($format, $words);
        $file->pdf->SetTitle($title, true);
        foreach ($pieces as $piece) {
            $file->piece("$title · ".PieceName::of($words, $design, $piece->id), $piece);
        }

        return $file->pdf->Output('S');
    }

    private function piece(string $name, Piece $piece): void
    {
        [$wide, $high] = [$piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()];
        [$columns, $rows] = [$this->tiles($wide, $this->roomWide()), $this->tiles($high, $this->roomHigh())];
        $paths = Paths::of($piece->pattern());
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                $this->pdf->AddPage();
                $left = $column * ($this->roomWide() - self::OVERLAP_MM);
                $top = $row * ($this->roomHigh() - self::OVERLAP_MM);
                $this->tile($paths, $high, $left, $top, $wide);
                $this->joins($column, $row, $columns, $rows);
                $this->foot($name, $piece, $column + $row * $columns + 1, $columns * $rows);
            }
        }
    }

    /** How many pages a length takes, neighbours showing the overlap both. */
    private function tiles(float $length, float $room): int
    {
        return $length <= $room ? 1 : (int) ceil(($length - self::OVERLAP_MM) / ($room - self::OVERLAP_MM));
    }

    private function roomWide(): float
    {
        return $this->format->width() - 2 * self::MARGIN_MM;
    }

    private function roomHigh(): float
    {
        return $this->format->height() - 2 * self::MARGIN_MM - self::FOOT_MM;
    }

    /**
     * What lies within the page of what begins at ($left, $top) of the sheet.
     *
     * @param list<ToolPath> $paths
     */
    private function tile(array $paths, float $high, float $left, float $top, float $wide): void
    {
        $room = [min($this->roomWide(), $wide - $left), min($this->roomHigh(), $high - $top)];
        foreach ($paths as $path) {
            $this->look($path->layer);
            $points = $path->isClosed ? [...$path->points, $path->points[0]] : $path->points;
            foreach (array_slice($points, 1) as $i => $to) {
                $at = fn (Point $p): array => [$p->x - $left, $high - $p->y - $top];
                $line = self::clipped($at($points[$i]), $at($to), $room);
                if ($line !== null) {
                    [[$x1, $y1], [$x2, $y2]] = $line;
                    $this->pdf->Line(self::MARGIN_MM + $x1, self::MARGIN_MM + $y1, self::MARGIN_MM + $x2, self::MARGIN_MM + $y2);
                }
            }
        }
        $this->dashed([]);
    }

    private function look(Layer $layer): void
    {
        $this->pdf->SetLineWidth($layer->isCut() ? 0.25 : 0.2);
        match ($layer) {
            Layer::ScoreMountain => $this->colour(125, 44, 108),
            Layer::ScoreValley => $this->colour(11, 110, 98),
            default => $this->colour(20, 48, 59),
        };
        $this->dashed(match ($layer) {
            Layer::ScoreMountain => [5.0, 1.2, 0.8, 1.2],
            Layer::ScoreValley => [3.5, 1.8],
            default => [],
        });
    }

    private function colour(int $red, int $green, int $blue): void
    {
        $this->pdf->SetDrawColor($red, $green, $blue);
    }

    /** @param list<float> $millimetres drawn and left out by turns; nothing for a whole line */
    private function dashed(array $millimetres): void
    {
        $points = array_map(fn (float $mm) => sprintf('%.2F', $mm * 72 / self::INCH_MM), $millimetres);
        // FPDF has no dashes of its own: this is PDF's operator for them (ISO 32000-1, 8.4.3.6).
        (fn (string $operator) => $this->_out($operator))->call($this->pdf, '['.implode(' ', $points).'] 0 d');
    }

    /**
     * The part of a line inside a room from (0, 0) (Liang and Barsky 1984).
     *
     * @param array{float, float} $from
     * @param array{float, float} $to
     * @param array{float, float} $room
     * @return array{array{float, float}, array{float, float}}|null
     */
    private static function clipped(array $from, array $to, array $room): ?array
    {
        [$enter, $leave] = [0.0, 1.0];
        foreach ([0, 1] as $axis) {
            $along = $to[$axis] - $from[$axis];
            foreach ([[-$along, $from[$axis]], [$along, $room[$axis] - $from[$axis]]] as [$p, $q]) {
                if (abs($p) < 1e-9) {
                    if ($q < 0) {
                        return null;
                    }
                } elseif ($p < 0) {
                    $enter = max($enter, $q / $p);
                } else {
                    $leave = min($leave, $q / $p);
                }
            }
        }
        $at = fn (float $share): array => [$from[0] + ($to[0] - $from[0]) * $share, $from[1] + ($to[1] - $from[1]) * $share];

        return $enter < $leave ? [$at($enter), $at($leave)] : null;
    }

    /** Where this page meets its neighbours: the same cross on both, in the middle of the strip they share, with the same letter. */
    private function joins(int $column, int $row, int $columns, int $rows): void
    {
        $this->pdf->SetLineWidth(0.2);
        $this->colour(90, 107, 106);
        $this->pdf->SetFont('Helvetica', '', 8);
        [$wide, $high, $half] = [$this->roomWide(), $this->roomHigh(), self::OVERLAP_MM / 2];
        foreach ([[-1, 0], [1, 0], [0, -1], [0, 1]] as [$dx, $dy]) {
            [$c, $r] = [$column + $dx, $row + $dy];
            if ($c < 0 || $r < 0 || $c >= $columns || $r >= $rows) {
                continue;
            }
            $letter = self::letter(min($row, $r) * $columns * 2 + min($column, $c) * 2 + ($dx === 0 ? 1 : 0));
            foreach ([0.25, 0.75] as $share) {
                $x = $dx === 0 ? $wide * $share : ($dx < 0 ? $half : $wide - $half);
                $y = $dy === 0 ? $high * $share : ($dy < 0 ? $half : $high - $half);
                $this->cross(self::MARGIN_MM + $x, self::MARGIN_MM + $y, $letter);
            }
        }
    }

    private function cross(float $x, float $y, string $letter): void
    {
        $this->pdf->Line($x - 3, $y, $x + 3, $y);
        $this->pdf->Line($x, $y - 3, $x, $y + 3);
        $this->pdf->Text($x + 1, $y - 1, $letter);
    }

    private static function letter(int $join): string
    {
        return ($join >= 26 ? chr(64 + intdiv($join, 26)) : '').chr(65 + $join % 26);
    }

    private function foot(string $name, Piece $piece, int $page, int $pages): void
    {
        $y = $this->format->height() - self::MARGIN_MM;
        $this->pdf->SetFont('Helvetica', '', 8);
        $label = self::latin($name);
        $this->pdf->Text(self::MARGIN_MM, $y - 9.5, $label);
        $of = self::latin($this->words->sentence('template.page', ['page' => (string) $page, 'pages' => (string) $pages]));
        $this->pdf->Text($this->format->width() - self::MARGIN_MM - $this->pdf->GetStringWidth($of), $y - 9.5, $of);
        $this->ruler($y - 3.5, 10.0, self::RULER_MM / 10, '100 mm');
        $this->ruler($y + 2.5, self::INCH_MM, self::RULER_INCHES, '4 in');
        $this->pdf->SetFont('Helvetica', '', 7);
        $this->pdf->Text(self::MARGIN_MM + self::RULER_INCHES * self::INCH_MM + 14, $y - 1, self::latin($this->words->sentence('template.check')));
    }

    /** Lines a unit apart on a base, to lay a real ruler on. */
    private function ruler(float $y, float $unit, int $units, string $label): void
    {
        $this->pdf->SetLineWidth(0.2);
        $this->colour(20, 48, 59);
        $this->pdf->Line(self::MARGIN_MM, $y, self::MARGIN_MM + $units * $unit, $y);
        for ($i = 0; $i <= $units; $i++) {
            $x = self::MARGIN_MM + $i * $unit;
            $this->pdf->Line($x, $y, $x, $y - ($i % $units === 0 ? 3 : 2));
        }
        $this->pdf->SetFont('Helvetica', '', 7);
        $this->pdf->Text(self::MARGIN_MM + $units * $unit + 1.5, $y, $label);
    }

    /** FPDF's own fonts know Windows-1252; what that has no letter for becomes the nearest. */
    private static function latin(string $text): string
    {
        return iconv('UTF-8', 'windows-1252//TRANSLIT', $text) ?: preg_replace('/[^\x20-\x7e]/', '?', $text) ?? '';
    }
}
