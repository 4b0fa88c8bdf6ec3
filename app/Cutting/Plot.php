<?php

declare(strict_types=1);

namespace App\Cutting;

use Gimbo\Core\Exchange\HpglFile;

/** What a pen plotter does with a stream of HP-GL: where its pen goes, how far, and whether it leaves its bed. */
final class Plot
{
    /** How fast it moves with the pen down and up, mm a second: a stand-in's, invented. */
    private const DOWN = 100.0;

    private const UP = 300.0;

    private string $rest = '';

    private int $pen = 0;

    private bool $isDown = false;

    /** @var array{float, float} */
    private array $at = [0.0, 0.0];

    /** @var list<array{pen: int, from: array{float, float}, to: array{float, float}}> millimetres */
    public array $strokes = [];

    public float $travelDown = 0.0;

    public float $travelUp = 0.0;

    /** @var list<array{float, float}> where it was told to go beyond its bed */
    public array $outside = [];

    public bool $isFinished = false;

    public function __construct(private readonly float $width, private readonly float $height)
    {
    }

    /** Takes more of the stream; what is not a whole instruction yet waits for the rest of it. */
    public function take(string $bytes): void
    {
        $parts = explode(';', $this->rest.$bytes);
        $this->rest = (string) array_pop($parts);
        foreach ($parts as $part) {
            $this->instruction(trim($part));
        }
    }

    /** What is not a whole instruction yet is forgotten. */
    public function abort(): void
    {
        $this->rest = '';
    }

    /** How long it takes, in seconds. */
    public function seconds(): float
    {
        return $this->travelDown / self::DOWN + $this->travelUp / self::UP;
    }

    /** Millimetres drawn with a pen. */
    public function drawn(int $pen): float
    {
        $length = 0.0;
        foreach ($this->strokes as ['pen' => $with, 'from' => $from, 'to' => $to]) {
            $length += $with === $pen ? hypot($to[0] - $from[0], $to[1] - $from[1]) : 0.0;
        }

        return $length;
    }

    /** Millimetres the tool went over again along a line it had drawn. */
    public function twice(): float
    {
        [$seen, $twice] = [[], 0.0];
        foreach ($this->strokes as ['pen' => $pen, 'from' => $from, 'to' => $to]) {
            $ends = [sprintf('%.3F,%.3F', ...$from), sprintf('%.3F,%.3F', ...$to)];
            sort($ends);
            $line = implode(' ', [$pen, ...$ends]);
            isset($seen[$line]) && $twice += hypot($to[0] - $from[0], $to[1] - $from[1]);
            $seen[$line] = true;
        }

        return $twice;
    }

    /** @return array{strokes: int, scored: float, cut: float, travel: float, seconds: float, outside: list<array{float, float}>, finished: bool, down: bool, twice: float} lengths in millimetres */
    public function report(): array
    {
        return [
            'strokes' => count($this->strokes), 'scored' => round($this->drawn(HpglFile::SCORING), 2), 'cut' => round($this->drawn(HpglFile::CUTTING), 2),
            'travel' => round($this->travelUp, 2), 'seconds' => round($this->seconds(), 1), 'outside' => $this->outside, 'finished' => $this->isFinished,
            'down' => $this->isDown && $this->pen > 0, 'twice' => round($this->twice(), 2),
        ];
    }

    private function instruction(string $text): void
    {
        if (preg_match('/^([A-Z]{2})(.*)$/s', $text, $match) !== 1) {
            return;
        }
        $numbers = array_map(floatval(...), preg_split('/[,\s]+/', trim($match[2]), -1, PREG_SPLIT_NO_EMPTY) ?: []);
        match ($match[1]) {
            'IN' => $this->begin(),
            'SP' => $this->select((int) ($numbers[0] ?? 0)),
            'PU', 'PD' => $this->move($match[1] === 'PD', $numbers),
            default => null,
        };
    }

    private function begin(): void
    {
        [$this->pen, $this->isDown, $this->at, $this->isFinished] = [0, false, [0.0, 0.0], false];
    }

    private function select(int $pen): void
    {
        $this->pen = $pen;
        $this->isFinished = $pen === 0;
    }

    /** @param list<float> $numbers */
    private function move(bool $isDown, array $numbers): void
    {
        $this->isDown = $isDown;
        for ($i = 0; $i + 1 < count($numbers); $i += 2) {
            $to = [$numbers[$i] / HpglFile::UNITS_PER_MM, $numbers[$i + 1] / HpglFile::UNITS_PER_MM];
            if (min($to) < 0 || $to[0] > $this->width || $to[1] > $this->height) {
                $this->outside[] = $to;
            }
            $length = hypot($to[0] - $this->at[0], $to[1] - $this->at[1]);
            if ($this->isDown && $this->pen > 0) {
                $this->strokes[] = ['pen' => $this->pen, 'from' => $this->at, 'to' => $to];
                $this->travelDown += $length;
            } else {
                $this->travelUp += $length;
            }
            $this->at = $to;
        }
    }

    /** What it drew, as SVG: scores dashed. */
    public function svg(): string
    {
        $lines = '';
        foreach ($this->strokes as ['pen' => $pen, 'from' => [$x1, $y1], 'to' => [$x2, $y2]]) {
            $lines .= sprintf('<line x1="%.3F" y1="%.3F" x2="%.3F" y2="%.3F"%s/>', $x1, $this->height - $y1, $x2, $this->height - $y2, $pen === HpglFile::SCORING ? ' stroke-dasharray="3 2"' : '')."\n";
        }

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$.0Fmm" height="%2$.0Fmm" viewBox="0 0 %1$.0F %2$.0F"><g stroke="#14303b" stroke-width="0.3" fill="none">', $this->width, $this->height)."\n$lines</g></svg>\n";
    }
}
