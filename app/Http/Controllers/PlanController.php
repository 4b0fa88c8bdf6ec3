<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\CutPlan\Asked;
use App\CutPlan\Drawer;
use App\CutPlan\Envelopes;
use App\CutPlan\Names;
use App\CutPlan\PlanMeetings;
use App\CutPlan\Planned;
use App\CutPlan\PlanView;
use App\HandOn\CutPlanSheets;
use App\HandOn\PaperFormat;
use App\Http\JsonBody;
use App\Models\CutSheet;
use App\Models\CuttingPlan;
use App\Models\Entry;
use App\Models\Moment;
use App\Shelf\Drafting;
use App\Shelf\Overtaken;
use App\Words\Words;
use Gimbo\Core\CutPlan\CameOut;
use Gimbo\Core\CutPlan\SheetCut as Planning;
use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Sizing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Cutting plans: what is asked of them, and the drawer as it becomes when a sheet is cut, missed or taken back. */
final readonly class PlanController
{
    private const LONGEST_NAME = 120;

    private const MOST_SLICES = 1000;

    public function __construct(private Drafting $drafting, private Words $words)
    {
    }

    public function index(): JsonResponse
    {
        return new JsonResponse(['plans' => CuttingPlan::query()->orderByDesc('made_at')->orderBy('id')->get()->map(fn (CuttingPlan $plan): array => ['id' => $plan->id, 'name' => $plan->name, 'madeAt' => $plan->made_at, 'items' => count(Asked::read($plan->asked)->items)])->all()]);
    }

    /** `{"name", "asked"}` */
    public function store(Request $request): JsonResponse
    {
        $said = JsonBody::of($request)->object();
        $plan = CuttingPlan::query()->create(['name' => $this->named($said), 'asked' => $this->asked($said['asked'] ?? []), 'made_at' => Moment::now()]);

        return $this->kept($this->planned($plan), 201);
    }

    public function show(CuttingPlan $plan): JsonResponse
    {
        return $this->answer($this->planned($plan));
    }

    /** `{"name"?, "asked"?}` */
    public function update(CuttingPlan $plan, Request $request): JsonResponse
    {
        $said = JsonBody::of($request)->object();
        array_key_exists('name', $said) && $plan->name = $this->named($said);
        array_key_exists('asked', $said) && $plan->asked = $this->asked($said['asked']);
        $plan->save();

        return $this->kept($this->planned($plan));
    }

    public function destroy(CuttingPlan $plan): JsonResponse
    {
        $plan->delete();

        return new JsonResponse((object) []);
    }

    /** One sheet of the plan that was seen: `{"sheet": its index, "stamp"}`. */
    public function cut(CuttingPlan $plan, Request $request): JsonResponse
    {
        [$planned, $sheet] = $this->seen($plan, $request);

        return $this->booked($planned, $sheet, CameOut::whole($sheet, $planned->plan->job), false);
    }

    /** A cut of it was set wrong: `{"sheet", "stamp", "n": which cut, "at": the reading it was cut at}`. What came out until then counts. */
    public function missed(CuttingPlan $plan, Request $request): JsonResponse
    {
        [$planned, $sheet] = $this->seen($plan, $request);
        $in = new FieldReader(JsonBody::of($request)->value);
        [$n, $at] = [$in->count('/n', 10_000), $in->required('/at')];
        $in->throwProblems();

        return $this->booked($planned, $sheet, CameOut::missed($sheet, $n ?? 1, $at, $planned->plan->job), true);
    }

    /** As many of bought envelopes as are still wanted and there, taken out of the drawer: `{"entry", "stamp"}`. */
    public function envelopes(CuttingPlan $plan, Request $request): JsonResponse
    {
        $planned = $this->planned($plan, $request);
        $of = array_values(array_filter(Envelopes::of($planned), fn (Envelopes $one) => $one->entry->id === (JsonBody::of($request)->object()['entry'] ?? null)))[0] ?? throw InvalidDocument::at('/entry', Reason::of('plan.no-envelope'));
        $taken = min($of->left, $of->there);
        $taken > 0 || throw InvalidDocument::at('/entry', Reason::of('plan.no-envelope'));
        $before = Drawer::text($of->entry);
        Drawer::become($of->entry, $of->there - $taken);
        $planned->kept->cuts()->create([
            'paper' => $of->entry->id, 'sheet' => ['width' => $of->entry->entry['width'], 'height' => $of->entry->entry['height']], 'pieces' => [$of->entry->id => $taken],
            'before' => $before, 'after' => Drawer::text($of->entry), 'is_missed' => false, 'cut_at' => Moment::now(), 'found' => $planned->kept->found,
        ]);

        return $this->kept(Planned::of($planned->kept, $this->drafting, $this->words, $planned->found), 201);
    }

    /** So many cuts of a sheet are made, and it is in hand; with none it is laid back: `{"sheet", "stamp", "made"}`. */
    public function hand(CuttingPlan $plan, Request $request): JsonResponse
    {
        [$planned, $sheet] = $this->seen($plan, $request);
        $made = (new FieldReader(JsonBody::of($request)->value))->count('/made', 10_000, 0) ?? 0;
        $made <= count($sheet->tree->cuts()) || throw InvalidDocument::at('/made', Reason::of('plan.no-cut'));
        $planned->takeInHand($sheet, $made);

        return $this->kept($planned);
    }

    /** One slice of a longer search for fewer sheets: `{"slice": from 1, "stamp"}`. */
    public function further(CuttingPlan $plan, Request $request): JsonResponse
    {
        $said = JsonBody::of($request)->object();
        $planned = $this->planned($plan, $request);
        $in = new FieldReader($said);
        $slice = $in->count('/slice', self::MOST_SLICES) ?? 1;
        // What somebody has begun to cut is not planned otherwise.
        $planned->inHand() === [] || $in->problem('', Reason::of('plan.in-hand'));
        $in->throwProblems();
        $planned->further($slice);

        return $this->kept($planned);
    }

    /** Where pieces of its designs could be cut at one size; each was tried. */
    public function meetings(CuttingPlan $plan, Sizing $sizing): JsonResponse
    {
        $planned = $this->planned($plan);

        return new JsonResponse(['meetings' => PlanMeetings::of($planned, $sizing)->said(new Names($planned, $this->words), $this->words)]);
    }

    /** One of them is done, in every design it is about: `{"meeting": its index, "stamp"}`. */
    public function meet(CuttingPlan $plan, Request $request, Sizing $sizing): JsonResponse
    {
        $index = JsonBody::of($request)->object()['meeting'] ?? null;
        $meeting = is_int($index) ? PlanMeetings::of($this->planned($plan, $request), $sizing)->all[$index] ?? null : null;
        PlanMeetings::become($meeting ?? throw InvalidDocument::at('/meeting', Reason::of('plan.no-meeting')), $this->drafting);

        return $this->kept($this->planned($plan));
    }

    /** Takes a sheet back: there is again what there was, to the byte. */
    public function undo(CuttingPlan $plan, CutSheet $cut): JsonResponse
    {
        $paper = $cut->plan_id === $plan->id ? Entry::query()->find($cut->paper) : null;
        $paper !== null && Drawer::text($paper) === $cut->after || throw Overtaken::byCut();
        Drawer::become($paper, $cut->before);
        $plan->found = $cut->found;
        $cut->delete();

        return $this->kept($this->planned($plan));
    }

    public function pdf(CuttingPlan $plan, Request $request, CutPlanSheets $sheets): Response
    {
        return Download::of($sheets->pdf($this->planned($plan), PaperFormat::asked($request->query('paper'))), 'application/pdf', 'cutting-plan.pdf');
    }

    public function svg(CuttingPlan $plan, int $number, CutPlanSheets $sheets): Response
    {
        return Download::of($sheets->svg($this->planned($plan), $number), 'image/svg+xml', "sheet-$number.svg");
    }

    /**
     * @return array{Planned, Planning}
     *
     * @throws Overtaken where the plan is not any more what was seen
     */
    private function seen(CuttingPlan $plan, Request $request): array
    {
        $said = JsonBody::of($request)->object();
        $planned = $this->planned($plan, $request);
        $index = $said['sheet'] ?? null;

        return [$planned, (is_int($index) ? $planned->plan->sheets[$index] ?? null : null) ?? throw InvalidDocument::at('/sheet', Reason::of('plan.no-sheet'))];
    }

    private function booked(Planned $planned, Planning $sheet, CameOut $came, bool $isMissed): JsonResponse
    {
        [$id, $row] = explode(' ', $sheet->stock->id);
        $paper = $planned->papers[$id];
        $names = new Names($planned, $this->words);
        $before = Drawer::text($paper);
        $planned->takeInHand($sheet, 0);
        Drawer::become($paper, Drawer::after($paper, $row, $came));
        $planned->kept->cuts()->create([
            'paper' => $id, 'sheet' => ['width' => $names->text($sheet->tree->width), 'height' => $names->text($sheet->tree->height)], 'pieces' => $came->pieces,
            'before' => $before, 'after' => Drawer::text($paper), 'is_missed' => $isMissed, 'cut_at' => Moment::now(), 'found' => $planned->kept->found,
        ]);
        // What was planned for the other sheets stays; a cut that was missed leaves something else, which is planned anew.
        $rest = Planned::of($planned->kept, $this->drafting, $this->words, $isMissed ? null : $planned->found->without($sheet));

        return $this->kept($rest, 201);
    }

    /** @return array<string, mixed> as it was said, once it was read */
    private function asked(mixed $said): array
    {
        try {
            Asked::read($said);
        } catch (InvalidDocument $error) {
            throw $error->under('/asked');
        }

        /** @var array<string, mixed> */
        return is_array($said) ? $said : [];
    }

    /** @param array<string, mixed> $said */
    private function named(array $said): string
    {
        $in = new FieldReader($said);
        $name = $in->name('/name', self::LONGEST_NAME);
        $in->throwProblems();

        return $name;
    }

    /**
     * @param ?Request $request that says which plan was seen; null where that does not matter
     *
     * @throws Overtaken where the plan is not any more what was seen
     */
    private function planned(CuttingPlan $plan, ?Request $request = null): Planned
    {
        $planned = Planned::of($plan, $this->drafting, $this->words);
        $request === null || (JsonBody::of($request)->object()['stamp'] ?? null) === $planned->stamp() || throw Overtaken::byStock();

        return $planned;
    }

    /** What was just changed: how it is laid from now on is kept with it. */
    private function kept(Planned $planned, int $status = 200): JsonResponse
    {
        $planned->keep();

        return $this->answer($planned, $status);
    }

    private function answer(Planned $planned, int $status = 200): JsonResponse
    {
        return new JsonResponse((new PlanView($planned, $this->words))->json(), $status);
    }
}
