<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\Promised;
use Tests\TestCase;

/** What the API answers is what api/openapi.json says, from which the browser's types are generated. */
final class ContractTest extends TestCase
{
    public function test_answers_have_the_shape_the_browser_was_promised(): void
    {
        $this->getJson('/api/catalogue')->assertOk();
        $this->getJson('/api/designs')->assertOk();
        foreach ([[], ['system' => 'metric', 'options' => ['method' => 'score-board']], ['paper' => ['sheet' => ['width' => '6 in', 'height' => '6 in']]]] as $spec) {
            $id = $this->start(spec: $spec);
            $this->getJson("/api/designs/$id")->assertOk();
            $this->edit($id, [['at' => '/holds/width', 'nudge' => 1]])->assertOk();
            $this->postJson("/api/designs/$id/undo", ['revision' => 2])->assertOk();
            $this->edit($id, [['at' => '/holds/width', 'to' => 'x']])->assertUnprocessable();
            $this->postJson('/api/size', ['spec' => $spec + self::SPEC])->assertOk();
            $this->postJson("/api/designs/$id/copy", ['name' => 'copy'])->assertCreated();
            $this->getJson("/api/designs/$id/alternatives")->assertOk();
            $this->postJson("/api/designs/$id/missed", ['piece' => 'envelope', 'measure' => 2, 'at' => '3 1/2 in'])->assertOk();
            $this->postJson("/api/designs/$id/points", ['name' => 'now'])->assertCreated();
            $this->getJson("/api/designs/$id/history")->assertOk();
            $this->postJson("/api/designs/$id/variants")->assertCreated();
            $this->getJson("/api/designs/$id/work?order=by-tool&hand=left")->assertOk();
            $this->getJson("/api/designs/$id/variants")->assertOk();
        }
        $this->getJson("/api/designs/$id/now")->assertOk();
        config(['gimbo.stand_in.port' => 1]);
        $this->postJson("/api/designs/$id/cutting")->assertCreated();
        $job = $this->getJson('/api/cutting')->json('jobs.0.id');
        assert(is_string($job));
        $this->postJson("/api/cutting/$job/wish", ['wish' => 'stop'])->assertOk();
        $this->postJson("/api/cutting/$job/go-on")->assertOk();
        $this->postJson("/api/cutting/$job/again")->assertOk();
        $this->getJson('/api/cutting')->assertOk();
        $this->postJson('/api/outlines', ['file' => '<svg xmlns="http://www.w3.org/2000/svg" width="9mm"><rect width="9" height="5"/></svg>'])->assertOk();
        $this->postJson('/api/starts', ['holds' => ['width' => '6', 'height' => '4', 'thickness' => '1/4']])->assertOk();
        $this->postJson('/api/starts', ['holds' => ['width' => 'x', 'height' => '4']])->assertUnprocessable();
        $this->postJson('/api/library/sizes', ['name' => 'Pass', 'width' => '3', 'height' => '2'])->assertCreated();
        $this->postJson('/api/library/tools', ['name' => 'Hall'])->assertCreated();
        $this->postJson('/api/library/papers', ['name' => 'Sand', 'weight' => 90])->assertCreated();
        $this->postJson('/api/library/cutters', ['name' => 'Hall', 'host' => 'cutter.example', 'width' => '12', 'height' => '24'])->assertCreated();
        $this->getJson('/api/library')->assertOk();
        $this->postJson('/api/library/sizes/preview', ['csv' => "name,kind,width,height\na,card,1 in,2 in\nb,card,1,2"])->assertOk();
        $this->postJson('/api/trials/caliper', ['stack' => '3', 'sheets' => 10])->assertOk();
        $paper = $this->getJson('/api/library')->json('papers.0.id');
        assert(is_string($paper));
        $this->putJson("/api/library/papers/$paper/stock", ['stock' => [['width' => '12 in', 'height' => '12 in', 'count' => 1]]])->assertOk();
        $plan = $this->postJson('/api/plans', ['name' => 'Fair', 'asked' => ['items' => [['design' => $id, 'count' => 3]], 'papers' => ['' => $paper]]])->assertCreated();

        $this->getJson('/api/plans')->assertOk();
        $this->getJson('/api/plans/'.$plan->json('id').'/meetings')->assertOk();
        $this->postJson('/api/plans/'.$plan->json('id').'/cut', ['sheet' => 0, 'stamp' => $plan->json('stamp')])->assertCreated();
        $this->getJson('/api/designs')->assertOk();
        $this->getJson('/api/designs/archive')->assertOk();
        $this->getJson('/api/designs/x')->assertNotFound();
    }

    public function test_every_address_is_in_the_contract(): void
    {
        $promised = array_keys((array) (Promised::contract()->paths ?? []));
        $real = [];
        foreach (app('router')->getRoutes()->getRoutes() as $route) {
            str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/ping' && $real[] = substr($route->uri(), 3);
        }
        self::assertEqualsCanonicalizing($promised, array_values(array_unique($real)));
    }
}
