<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Steps;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Exchange\DesignWriter;

/** A result's steps followed piece by piece, and held against its patterns. */
final class Followed
{
    private const TOLERANCE_MM = 0.01;

    /** @return list<Follower> what one ends with, piece by piece */
    public static function pieces(Design $design, string $mode): array
    {
        $result = json_decode(json_encode(DesignWriter::write($design), JSON_THROW_ON_ERROR), true);

        return array_map(fn (array $piece) => Follower::through(array_values(array_filter($result['steps'], fn (array $step) => $step['piece'] === $piece['id'])), $mode), $result['pieces']);
    }

    /** @return list<string> */
    public static function design(Design $design, string $mode): array
    {
        $result = json_decode(json_encode(DesignWriter::write($design), JSON_THROW_ON_ERROR), true);

        return self::complaints($result, array_keys($result['steps']), $mode);
    }

    /**
     * @param array<string, mixed> $result as the command prints it
     * @param list<int> $order of the steps
     * @return list<string> what is not as the pattern says
     */
    public static function complaints(array $result, array $order, string $mode): array
    {
        $complaints = [];
        foreach ($result['pieces'] as $piece) {
            $steps = array_values(array_filter(array_map(fn (int $i) => $result['steps'][$i], $order), fn (array $step) => $step['piece'] === $piece['id']));
            try {
                $follower = Follower::through($steps, $mode);
                $found = [...$follower->complaints, ...self::compared($follower, $piece)];
            } catch (\RuntimeException $error) {
                $found = [$error->getMessage()];
            }
            array_push($complaints, ...array_map(fn (string $complaint) => "$piece[id]: $complaint", $found));
        }

        return $complaints;
    }

    /**
     * @param array<string, mixed> $piece
     * @return list<string>
     */
    private static function compared(Follower $follower, array $piece): array
    {
        $fold = $piece['fold'];
        $edges = ['B' => [], 'C' => []];
        $creases = [];
        foreach ($fold['edges_vertices'] as $e => [$from, $to]) {
            $segment = [$fold['vertices_coords'][$from], $fold['vertices_coords'][$to]];
            $kind = $fold['edges_assignment'][$e];
            if ($kind === 'M' || $kind === 'V') {
                $creases[(string) $fold['edges_foldAngle'][$e]][] = $segment;
            } else {
                $edges[$kind][] = $segment;
            }
        }
        $mine = [];
        foreach ($follower->folds as $one) {
            $mine[(string) $one['deg']][] = $one['segment'];
        }
        $said = fn (string $what, array $list): array => array_map(fn (string $difference) => "$what $difference", $list);
        $complaints = [
            ...$said('outline', Straight::differences($follower->outline(), Straight::merged($edges['B']), self::TOLERANCE_MM)),
            ...$said('slit', Straight::differences($follower->slits(), Straight::merged($edges['C']), self::TOLERANCE_MM)),
        ];
        foreach ($mine + $creases as $angle => $_) {
            array_push($complaints, ...$said("crease at $angle", Straight::differences(Straight::merged($mine[$angle] ?? []), Straight::merged($creases[$angle] ?? []), self::TOLERANCE_MM)));
        }
        foreach ($follower->idleScores() as $score) {
            $complaints[] = sprintf('scored and never folded: %.3f,%.3f – %.3f,%.3f', ...$score[0], ...$score[1]);
        }

        return [...$complaints, ...self::names($follower, $fold)];
    }

    /**
     * @param array<string, mixed> $fold
     * @return list<string>
     */
    private static function names(Follower $follower, array $fold): array
    {
        $complaints = [];
        $area = 0.0;
        foreach ($fold['faces_vertices'] as $f => $face) {
            $name = $fold['faces_gimbo:name'][$f];
            $ring = array_map(fn (int $v) => $fold['vertices_coords'][$v], $face);
            $area += abs(Follower::signedArea($ring));
            $at = $follower->names[$name]['at'] ?? null;
            if ($at === null || ! Follower::isIn($ring, $at)) {
                $complaints[] = "face $name is not where it is named";
            }
        }
        count($follower->names) === count($fold['faces_vertices']) || $complaints[] = 'other faces are named than there are';
        // What comes off overlaps nothing that came off before, and lies on paper: else more is taken away than is gone.
        abs($area - $follower->area()) < 0.01 + 1e-6 * $area || $complaints[] = sprintf('%.3f mm² are left, and there are %.3f', $follower->area(), $area);

        return $complaints;
    }
}
