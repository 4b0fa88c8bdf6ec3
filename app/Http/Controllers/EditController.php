<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\ChangeList;
use App\Http\DesignAnswer;
use App\Http\JsonBody;
use App\Http\Middleware\InOneWrite;
use App\Shelf\Drafting;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Changes to one design, and the way back. */
final readonly class EditController
{
    public function __construct(private Drafting $drafting)
    {
    }

    /** No design has so many revisions. */
    public const MOST_REVISIONS = 0x7FFFFFFF;

    /**
     * `{"id": uuid, "revision": n|null, "gesture": text|null, "changes": [{"at": pointer, "to": value} | {"at": pointer, "nudge": steps}]}`
     *
     * The revision is the one the maker saw; the id is the request's, for it may be sent again.
     */
    public function store(Request $request, string $design): JsonResponse
    {
        $body = JsonBody::of($request)->object();
        $id = $body['id'] ?? null;
        if (! is_string($id) || ! InOneWrite::isUuid($id)) {
            throw InvalidDocument::at('/id', Reason::of('edit.id'));
        }
        $gesture = $body['gesture'] ?? null;
        $seen = isset($body['revision']) ? self::revision($body, '/revision') : null;
        $edited = $this->drafting->edit($design, $seen, is_string($gesture) ? mb_substr($gesture, 0, 64) : null, ChangeList::read($body['changes'] ?? null));

        return new DesignAnswer($edited, 200);
    }

    /** `{"revision": n}`: one step back from revision n; from any other the answer is the design as it is, so that a repeated request does no harm. */
    public function undo(Request $request, string $design): JsonResponse
    {
        return $this->step($request, $design, -1);
    }

    public function redo(Request $request, string $design): JsonResponse
    {
        return $this->step($request, $design, 1);
    }

    private function step(Request $request, string $design, int $by): JsonResponse
    {
        $from = self::revision(JsonBody::of($request)->object(), '/revision');

        return new DesignAnswer($this->drafting->step($design, $from, $by), 200);
    }

    /**
     * @param array<string, mixed> $body
     *
     * @throws InvalidDocument where there is none
     */
    public static function revision(array $body, string $at): int
    {
        $number = $body[substr($at, 1)] ?? null;
        if (! is_int($number) || $number < 1 || $number > self::MOST_REVISIONS) {
            throw InvalidDocument::at($at, Reason::of('edit.revision'));
        }

        return $number;
    }
}
