<?php

declare(strict_types=1);

namespace App\HandOn;

use App\Models\Design as Kept;
use App\Shelf\Draft;
use App\Words\PieceName;
use App\Words\Words;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sizing;

/** Editions of a handout: the revisions of its design. What is another in this one than in an earlier, and what was cut by that still serves. */
final readonly class Editions
{
    public function __construct(private Sizing $sizing, private Words $words)
    {
    }

    /** @return list<string> piece by piece; null where there is no such edition before this one */
    public function since(Draft $draft, int $edition): ?array
    {
        $revision = $edition < $draft->design->revision ? $draft->design->revisions()->where('number', $edition)->first() : null;
        if ($revision === null) {
            return null;
        }
        $before = $this->sizing->size(Kept::document($revision->document)->spec);
        $said = [];
        $ids = array_unique([...self::ids($draft->sized), ...self::ids($before)]);
        $isSame = true;
        foreach ($ids as $id) {
            [$now, $then] = [$draft->sized->piece($id), $before->piece($id)];
            $how = match (true) {
                $then === null => 'new',
                $now === null => 'gone',
                self::isAlike($now, $then) => 'serves',
                default => 'anew',
            };
            $isSame = $isSame && $how === 'serves';
            $said[] = $this->words->sentence("handout.since.$how", ['piece' => PieceName::of($this->words, $now === null ? $before : $draft->sized, $id)]);
        }

        return $isSame ? [$this->words->sentence('handout.since.same'), ...$said] : $said;
    }

    /** Cut and set alike: whoever has cut the one has cut the other. */
    private static function isAlike(Piece $one, Piece $two): bool
    {
        $readings = fn (Piece $piece): array => array_map(fn (Measure $measure) => [$measure->kind, $measure->from, $measure->at->ticks, $measure->creases], $piece->measures);
        $ring = fn (Piece $piece): array => array_map(fn ($point) => [round($point->x, 2), round($point->y, 2)], $piece->pattern()->vertices);

        return $one->count === $two->count && $readings($one) === $readings($two) && $ring($one) === $ring($two);
    }

    /** @return list<string> */
    private static function ids(Design $design): array
    {
        return array_map(fn (Piece $piece) => $piece->id, $design->pieces);
    }
}
