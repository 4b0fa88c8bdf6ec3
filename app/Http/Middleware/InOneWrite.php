<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\DesignAnswer;
use App\Http\Errors;
use App\Http\JsonBody;
use App\Models\Design;
use App\Models\DoneRequest;
use App\Models\Moment;
use App\Screen\DesignView;
use App\Shelf\Drafting;
use App\Store\Store;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * One request that writes is one transaction: it takes its lock before anything is read, and is kept whole or not at all.
 *
 * A client names what it asks for with an id of its own (`Idempotency-Key`, as in the IETF draft of that name; an edit in
 * its body): sent again, it is answered again and not done again. A design is answered as it is by then.
 */
final readonly class InOneWrite
{
    public function __construct(private Drafting $drafting, private DesignView $view)
    {
    }

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe()) {
            return $this->told($next($request));
        }
        $key = self::key($request);
        if ($key === false) {
            return Errors::said(422, 'request.bad-key');
        }
        Store::current()->glance();
        $level = DB::transactionLevel();
        DB::beginTransaction();
        try {
            $answer = $key === null ? $next($request) : $this->once($key, $request, $next);
            $answer->isSuccessful() ? DB::commit() : DB::rollBack();
        } finally {
            // Also where it could not even be committed: nothing of it stays.
            DB::transactionLevel() > $level && DB::rollBack($level);
        }

        return $this->told($answer);
    }

    private function told(Response $answer): Response
    {
        return $answer instanceof DesignAnswer ? $answer->tell($this->view->of($answer->draft)) : $answer;
    }

    /** @param Closure(Request): Response $next */
    private function once(string $key, Request $request, Closure $next): Response
    {
        $asked = $request->method().' '.$request->path().' '.hash('xxh128', $request->getContent());
        $deed = DoneRequest::query()->find($key);
        if ($deed !== null) {
            return str_starts_with($asked, $deed->asked) ? $this->again($deed) : Errors::said(422, 'request.key-taken');
        }
        $answer = $next($request);
        if ($answer instanceof JsonResponse && $answer->isSuccessful()) {
            $body = $answer instanceof DesignAnswer ? ['design' => $answer->draft->design->id] : $answer->getData(true);
            DoneRequest::query()->create(['id' => $key, 'asked' => $asked, 'status' => $answer->getStatusCode(), 'answer' => $body, 'done_at' => Moment::now()]);
        }

        return $answer;
    }

    private function again(DoneRequest $deed): Response
    {
        $design = $deed->answer['design'] ?? null;
        if (! is_string($design)) {
            return new JsonResponse($deed->answer === [] ? (object) [] : $deed->answer, $deed->status);
        }
        $found = Design::query()->find($design);

        return $found === null ? Errors::said(404, 'request.unknown-design') : new DesignAnswer($this->drafting->draft($found), $deed->status);
    }

    /** The id the client gave it; null for none, false where it is none. */
    private static function key(Request $request): string|false|null
    {
        $key = $request->headers->get('idempotency-key');
        if ($key === null && $request->route()?->named('edit') === true) {
            // Its shape is asked for where the edit is read.
            $body = JsonBody::of($request)->value;
            $key = is_array($body) && is_string($body['id'] ?? null) && self::isUuid($body['id']) ? $body['id'] : null;
        }
        $key = $key === null ? null : trim($key, '"');

        return $key === null || self::isUuid($key) ? $key : false;
    }

    public static function isUuid(string $text): bool
    {
        return preg_match('/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}\z/', $text) === 1;
    }
}
