<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Closure;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Field;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SpecEditor;

/**
 * What mends a fit that fails: what the make itself proposes, and less of whatever the paper does not reach for. Nothing is offered that
 * was not tried: after it the fit holds, and no other that held before fails.
 */
final class Mending
{
    /** The fits that less of something can mend, in every make. */
    private const LESS = ['sheet-from-paper', Reach::ID, 'flaps-stay-inside', 'lid-not-taller-than-tray'];

    /** More ways than these are not read. */
    private const MOST_LESS = 4;

    /** In how many steps at the most something gets less. */
    private const MOST_STEPS = 64;

    /** @var array<string, ?list<string>> what failed after edits that were tried before: what mends one fit is tried for the next */
    private array $tried = [];

    /**
     * @param Closure(array<string, mixed>): ?Figures $settle what a spec comes to; null where it is none
     * @param array<string, Field> $fields every length of the request that can be changed
     * @param list<Row> $options what can be asked of the make
     */
    public function __construct(private readonly Closure $settle, private readonly Figures $figures, private readonly array $fields, private readonly array $options)
    {
    }

    /**
     * @param list<Remedy> $own what the make proposes
     * @return list<Remedy>
     */
    public function of(Fit $fit, array $own): array
    {
        $less = in_array($fit->id, self::LESS, true) ? $this->few($fit) : [];

        return [...$less, ...array_values(array_filter([...$own, ...$this->ofAdded($fit)], fn (Remedy $remedy) => $this->holds($fit, $remedy->edits)))];
    }

    /** @return list<Remedy> the first of those that do */
    private function few(Fit $fit): array
    {
        $found = [];
        foreach ($this->less($fit) as $remedy) {
            $remedy === null || $found[] = $remedy;
            if (count($found) === self::MOST_LESS) {
                break;
            }
        }

        return $found;
    }

    /** @param array<string, mixed> $edits */
    private function holds(Fit $fit, array $edits): bool
    {
        $after = $this->failing($edits);

        return $after !== null && ! in_array($fit->id, $after, true) && array_diff($after, array_column($this->figures->failing(), 'id')) === [];
    }

    /**
     * @param array<string, mixed> $edits
     * @return ?list<string> the fits that fail after them; null where that is no spec
     */
    private function failing(array $edits): ?array
    {
        $key = json_encode($edits, JSON_THROW_ON_ERROR);
        if (! array_key_exists($key, $this->tried)) {
            $after = ($this->settle)(SpecEditor::with($this->figures->request->spec, $edits));
            $this->tried[$key] = $after === null ? null : array_column($after->failing(), 'id');
        }

        return $this->tried[$key];
    }

    /** @return iterable<?Remedy> the least change first */
    private function less(Fit $fit): iterable
    {
        $request = $this->figures->request;
        $least = $request->system === System::Imperial ? Length::inches(1, 16) : Length::mm(1);
        foreach (['width', 'height', 'depth'] as $direction) {
            yield $this->lengths($fit, "less-room-$direction", ["/clearance/$direction" => [$request->tools->cut, $least]]);
        }
        $lessened = array_values(array_filter($this->options, fn (Row $option) => $option->lessens !== null));
        usort($lessened, fn (Row $a, Row $b) => $a->lessens <=> $b->lessens);
        foreach ($lessened as $option) {
            $field = $this->fields["/options/$option->name"] ?? null;
            $field === null || yield $this->lengths($fit, 'shorter', [$field->at => [$request->tools->score, $field->value->timesNearest(1, 2)]], ['field' => "options.$option->name"]);
        }
        yield $this->lengths($fit, 'less-room', ['/clearance/width' => [$request->tools->cut, $least], '/clearance/height' => [$request->tools->cut, $least]]);
        yield $this->fewer($fit);
        $thickness = $this->fields['/holds/thickness'];
        yield $this->lengths($fit, 'thinner', [$thickness->at => [$thickness->step, $thickness->value->timesNearest(1, 2)]]);
    }

    /**
     * One or more lengths, each as little less as does it.
     *
     * @param non-empty-array<string, array{Step, Length}> $lengths the step it goes down by and the least it may be, by pointer
     * @param array<string, string> $params
     */
    private function lengths(Fit $fit, string $id, array $lengths, array $params = []): ?Remedy
    {
        $texts = function (int $steps) use ($lengths): ?array {
            $texts = [];
            foreach ($lengths as $at => [$step, $least]) {
                $field = $this->fields[$at];
                $to = $step->up($field->value)->minus($step->size->times($steps));
                $to = Length::max($to, Length::min($step->up($least), $field->value));
                $texts[$at] = LengthFormatter::in($field->unit)->text($to);
                if (! $to->isLessThan($field->value) || ! LengthFormatter::in($field->unit)->isExact($to)) {
                    return null;
                }
            }

            return $texts;
        };
        $steps = $this->least($fit, self::MOST_STEPS, $texts);
        $edits = $steps === null ? null : $texts($steps);
        if ($edits === null || ! $this->holds($fit, $edits)) {
            return null;
        }
        $named = count($edits) === 1 ? ['to' => array_values($edits)[0]] : ['width' => $edits['/clearance/width'], 'height' => $edits['/clearance/height']];

        return new Remedy($id, $edits, $named + $params);
    }

    private function fewer(Fit $fit): ?Remedy
    {
        $count = $this->figures->request->item->count;
        $edits = fn (int $less): array => ['/holds/count' => $count - $less];
        $less = $this->least($fit, intdiv($count, 2), $edits);

        return $less === null || ! $this->holds($fit, $edits($less)) ? null : new Remedy('fewer', ['/holds/count' => $count - $less], ['count' => (string) ($count - $less)]);
    }

    /**
     * The least number of steps after which a fit holds, if it does after the most: what mends it, mends it with more. Whether less of that
     * breaks another fit is asked afterwards: the least breaks least.
     *
     * @param Closure(int): ?array<string, mixed> $edits null where there are none
     */
    private function least(Fit $fit, int $most, Closure $edits): ?int
    {
        $does = function (int $steps) use ($fit, $edits): bool {
            $failing = ($changed = $edits($steps)) === null ? null : $this->failing($changed);

            return $failing !== null && ! in_array($fit->id, $failing, true);
        };
        if ($most < 1 || ! $does($most)) {
            return null;
        }
        [$short, $enough] = [0, $most];
        while ($enough - $short > 1) {
            $middle = intdiv($short + $enough, 2);
            $does($middle) ? $enough = $middle : $short = $middle;
        }

        return $enough;
    }

    /**
     * What mends something that goes with the make: something else that holds the flap shut, less of it, or none of it.
     *
     * @return list<Remedy>
     */
    private function ofAdded(Fit $fit): array
    {
        $request = $this->figures->request;
        $remedies = [];
        foreach ($request->with as $addition) {
            $isIts = $fit->piece !== null && ($fit->piece === $addition->id || str_starts_with($fit->piece, "$addition->id-"));
            // Of a fit that is about no piece those know what mends it whose it is.
            if ($fit->piece === null || ($isIts && ! in_array($fit->id, self::LESS, true))) {
                array_push($remedies, ...$addition->role->remedies($fit, $addition));
            }
            if ($isIts && ! in_array($fit->id, self::LESS, true)) {
                array_push($remedies, ...$this->lessOf($fit, $addition));
                $remedies[] = new Remedy('without-it', ["/with/$addition->index" => null]);
            }

        }

        return $remedies;
    }

    /** @return list<Remedy> less of what an addition's rows say may mend the fit */
    private function lessOf(Fit $fit, Addition $addition): array
    {
        $remedies = [];
        foreach ($addition->role->rows() as $row) {
            $part = $row->mends[$fit->id] ?? null;
            $field = $part === null ? null : $this->fields[rtrim("/with/$addition->index/$row->name/$part", '/')] ?? null;
            $least = $field === null ? [] : [$field->at => [$field->step, Length::min($field->step->size, $field->value)]];
            $remedies[] = $least === [] ? null : $this->lengths($fit, 'smaller', $least);
        }

        return array_values(array_filter($remedies));
    }
}
